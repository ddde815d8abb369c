import { figureAndUnit, type Figure, t } from '@kelmot/core';
import { Pressable, View } from 'react-native';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { workingShown } from '@/store/view';
import { Txt, type TxtProps } from './Txt';

interface FigureTextProps {
  figure: Figure | undefined;
  as?: TxtProps['as'];
  /** A label above the figure, as in a row of main figures. */
  label?: string;
  suffix?: string;
}

/** A duration: numbers in the size of the figure, with small units and spaces. */
function Duration({ text, as }: { text: string; as: TxtProps['as'] }) {
  return text.split(' ').map((part, i) => (
    <Txt key={i} as={i % 2 === 0 ? as : 'inline'}>
      {i % 2 === 0 ? part : ` ${part} `}
    </Txt>
  ));
}

/** A computed figure; a touch shows its working. Dotted underline; solid while its working is open. */
export function FigureText({ figure, as = 'inline', label, suffix }: FigureTextProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((s) => s.settings.units);
  const open = useAppSelector((s) => s.view.working?.id === figure?.id);
  if (!figure) return null;
  const { figure: text, unit } = figureAndUnit(figure.value, figure.quantity, { system: units });
  const money = figure.quantity === 'money';
  const shown = money ? `${unit}${text}` : `${text} ${unit}`;
  const named = label?.toLowerCase() === figure.label.toLowerCase();
  const seen = [label, shown.trim(), suffix].filter(Boolean).join(' ');
  return (
    <Pressable
      role="button"
      aria-label={t('{seen}. Show working', { seen: named ? seen : `${seen}, ${figure.label}` })}
      aria-expanded={open}
      testID={`figure-${figure.id}`}
      onPress={() => dispatch(workingShown(open ? null : figure))}
      // A touch target as large as a thumb, without a taller line.
      className={`min-w-[44px] max-w-full ${label ? 'min-h-[48px] justify-end' : '-mx-2 -my-3 min-h-[44px] px-2 py-3'}`}
    >
      {label ? <Txt as="label">{`${label} `}</Txt> : null}
      <View
        className={`max-w-full flex-row flex-wrap items-baseline self-start ${open ? 'border-b-[3px]' : 'border-b-[1.5px] border-dotted'} border-teal`}
      >
        {money ? <Txt as={as}>{unit}</Txt> : null}
        {figure.quantity === 'time' ? <Duration text={text} as={as} /> : <Txt as={as}>{text}</Txt>}
        {!money && unit ? <Txt as="inline">{` ${unit} `}</Txt> : null}
        {suffix ? <Txt as="inline">{` ${suffix} `}</Txt> : null}
      </View>
    </Pressable>
  );
}
