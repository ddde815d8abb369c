import { sayApart, shareOfLimit, type Against, type Figure, type Verdict, t } from '@kelmot/core';
import { Pressable, View } from 'react-native';
import { workingShown } from '@/store/view';
import Svg, { Line, Path } from 'react-native-svg';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { useTheme } from './theme';
import { Txt } from './Txt';

const WIDTH = 118;
/** The position of the limit: an upper limit has its forbidden side on the right, a lower limit on the left. */
const LIMIT_X = { max: 88, min: 30 };
const BAR_Y = 10;

/** The part of the rule where a figure must not be. */
export const forbiddenSide = (sense: Against['sense']): { from: number; to: number } =>
  sense === 'max' ? { from: LIMIT_X.max, to: WIDTH } : { from: 0, to: LIMIT_X.min };

/** Diagonal strokes over the forbidden side of a limit. */
function strokes({ from, to }: { from: number; to: number }): string {
  const each = Array.from(
    { length: Math.max(0, Math.floor((to - from) / 5)) },
    (_, i) => `M${from + 1 + i * 5} 16l5-12`,
  );
  return each.join('');
}

/**
 * A figure against its limit. The forbidden side is hatched: right of an upper limit, left of a lower one. A pointer
 * marks the figure, and the text says the limit. A touch shows the working.
 */
export function LimitRule({
  name,
  against,
  verdict,
  figure,
}: {
  name: string;
  against: Against;
  verdict: Verdict;
  figure?: Figure;
}) {
  const { c } = useTheme();
  const dispatch = useAppDispatch();
  const open = useAppSelector((s) => figure !== undefined && s.view.working?.id === figure.id);
  const units = useAppSelector((s) => s.settings.units);
  const { value, limit, quantity, sense } = against;
  const colour = { fits: c.moss, if: c.ochre, no: c.oxide }[verdict];
  const inkClass = { fits: 'text-ink', if: 'text-ochreInk', no: 'text-oxideInk' }[verdict];
  const at = LIMIT_X[sense];
  const x = Math.min(shareOfLimit(against) * at, WIDTH - 6);
  const [shown, limitText] = sayApart(quantity, { a: value, b: limit, units });
  const words =
    sense === 'max'
      ? t('{limitText} or less', { limitText })
      : t('{limitText} or more', { limitText });
  return (
    <Pressable
      className="min-h-[44px] flex-row items-center gap-2 py-0.5"
      role="button"
      aria-expanded={open}
      testID={figure ? `figure-${figure.id}` : undefined}
      disabled={!figure}
      onPress={() => figure && dispatch(workingShown(open ? null : figure))}
    >
      <View className="min-w-0 flex-1">
        <Txt as="inline" className="font-label" numberOfLines={2}>
          {`${name} `}
        </Txt>
        <Txt as="label" numberOfLines={1}>
          {t('needs {words} ', { words })}
        </Txt>
      </View>
      <Txt
        as="inline"
        className={`text-right ${inkClass} ${figure ? `border-teal ${open ? 'border-b-[3px]' : 'border-b-[1.5px] border-dotted'}` : ''}`}
      >
        {shown}
      </Txt>
      <Svg width={WIDTH} height={22} aria-hidden>
        <Path d={strokes(forbiddenSide(sense))} stroke={c.pencil} strokeWidth={0.9} fill="none" />
        <Line x1={0} y1={BAR_Y} x2={WIDTH} y2={BAR_Y} stroke={c.ink} strokeWidth={1} />
        <Line x1={0} y1={BAR_Y} x2={x} y2={BAR_Y} stroke={colour} strokeWidth={5} />
        <Line x1={at} y1={1} x2={at} y2={19} stroke={c.ink} strokeWidth={2.2} />
        <Path d={`M${x - 5} 21h10l-5-9Z`} fill={colour} stroke={c.sheet} strokeWidth={1} />
      </Svg>
    </Pressable>
  );
}
