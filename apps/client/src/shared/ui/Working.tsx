import { formatFigure, figureAndUnit, type Figure, type WorkingLine, t } from '@kelmot/core';
import { ScrollView, View } from 'react-native';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { workingShown } from '@/store/view';
import { SecondaryButton } from './Button';
import { Txt } from './Txt';
import { useDialog } from './useDialog';

/** Gives the label of a survey path, for “change …”. */
export type NamePath = (path: string) => string;

const valueText = (value: number | string, unit: string): string =>
  `${typeof value === 'number' ? formatFigure(value) : value}${unit ? ` ${unit}` : ''}`;

/** The lines of a calculation, as a person would write them. */
export function WorkingRows({ lines }: { lines: readonly WorkingLine[] }) {
  return (
    <View role="list">
      {lines.map((line, i) => (
        <View key={i} role="listitem" className="flex-row gap-3 border-b border-rule py-2">
          <Txt as="strong" className="w-12 italic">
            {line.symbol}
          </Txt>
          <View className="flex-1">
            <Txt as="inline">{line.label}</Txt>
            <Txt className="text-pencil">{line.expression}</Txt>
            {line.source ? <Txt as="label">{line.source}</Txt> : null}
          </View>
          <Txt as="inline" className="max-w-[40%] text-right">
            {valueText(line.value, line.unit)}
          </Txt>
        </View>
      ))}
    </View>
  );
}

/** The calculation behind a figure: symbols, expressions, values, sources, and the inputs that would change it. */
export function WorkingLines({
  figure,
  namePath,
  onPath,
}: {
  figure: Figure;
  namePath: NamePath;
  onPath?: (path: string) => void;
}) {
  const units = useAppSelector((s) => s.settings.units);
  const shown = figureAndUnit(figure.value, figure.quantity, { system: units });
  return (
    <View className="gap-3">
      <View className="flex-row items-baseline justify-between border-b border-ink pb-2">
        <Txt as="rowBold">{t('Working: {label}', { label: figure.label })}</Txt>
        <Txt as="rowBold">
          {figure.quantity === 'money'
            ? `${shown.unit}${shown.figure}`
            : `${shown.figure} ${shown.unit}`}
        </Txt>
      </View>
      <WorkingRows lines={figure.working} />
      {figure.paths.length > 0 ? (
        <View className="gap-1">
          <Txt as="label">{t('To change it, change')}</Txt>
          <View className="flex-row flex-wrap gap-2">
            {[...new Set(figure.paths)].map((path) =>
              onPath ? (
                <SecondaryButton key={path} label={namePath(path)} onPress={() => onPath(path)} />
              ) : (
                <Txt as="inline" key={path}>
                  {namePath(path)}
                </Txt>
              ),
            )}
          </View>
        </View>
      ) : null}
    </View>
  );
}

/** The working as a sheet over the lower half of a phone's screen. */
export function WorkingSheet({
  namePath,
  onPath,
}: {
  namePath: NamePath;
  onPath?: (path: string) => void;
}) {
  const figure = useAppSelector((s) => s.view.working);
  const dispatch = useAppDispatch();
  const close = () => dispatch(workingShown(null));
  const dialog = useDialog(figure !== null, close);
  if (!figure) return null;
  return (
    <View
      {...dialog}
      role="dialog"
      aria-label={t('Working: {label}', { label: figure.label })}
      testID="working"
      className="absolute inset-x-0 bottom-0 max-h-[70%] border-t-[1.25px] border-ink bg-sheet"
    >
      <ScrollView className="px-4 pt-3">
        <WorkingLines figure={figure} namePath={namePath} onPath={onPath} />
        <View className="py-4">
          <SecondaryButton label={t('Close working')} testID="close-working" onPress={close} />
        </View>
      </ScrollView>
    </View>
  );
}
