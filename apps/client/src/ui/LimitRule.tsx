import { say, type Against, type Figure, type Verdict } from '@kelmot/core';
import { Pressable } from 'react-native';
import { workingShown } from '@/store/view';
import Svg, { Line, Path } from 'react-native-svg';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { useTheme } from './theme';
import { Txt } from './Txt';

const WIDTH = 118;
const LIMIT_X = 100;

/** A touch shows the working. A figure against its limit: the bar runs from zero, the bracket is the limit; past it the bar goes on dashed. */
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
  const share = limit === 0 ? (value > 0 ? 1.18 : 0) : Math.max(0, value / limit);
  const x = Math.min(share, 1.18) * LIMIT_X;
  // Past a least limit is where it should be; past a most limit the bar goes on dashed.
  const solid = sense === 'min' ? x : Math.min(x, LIMIT_X);
  const bracket = sense === 'max' ? `M${LIMIT_X + 5} 2h-5v16h5` : `M${LIMIT_X - 5} 2h5v16h-5`;
  const shown = say(value, quantity, units);
  const limitText = say(limit, quantity, units);
  return (
    <Pressable
      className="flex-row items-center gap-2 py-0.5"
      role="button"
      aria-label={`${name} ${shown}, ${sense === 'max' ? 'most' : 'least'} ${limitText}. Show working`}
      aria-expanded={open}
      testID={figure ? `figure-${figure.id}` : undefined}
      disabled={!figure}
      onPress={() => figure && dispatch(workingShown(open ? null : figure))}
    >
      <Txt as="inline" className="flex-1 font-label" numberOfLines={1}>
        {name}
      </Txt>
      <Txt
        as="inline"
        className={`text-right ${inkClass} ${figure ? `border-teal ${open ? 'border-b-[3px]' : 'border-b-[1.5px] border-dotted'}` : ''}`}
      >
        {shown}
      </Txt>
      <Svg width={WIDTH} height={20}>
        <Line x1={0} y1={10} x2={LIMIT_X} y2={10} stroke={c.ink} strokeWidth={1} />
        {[0.25, 0.5, 0.75].map((q) => (
          <Line
            key={q}
            x1={q * LIMIT_X}
            y1={8}
            x2={q * LIMIT_X}
            y2={12}
            stroke={c.ink}
            strokeWidth={0.75}
          />
        ))}
        <Line x1={0} y1={10} x2={solid} y2={10} stroke={colour} strokeWidth={5} />
        {x > solid ? (
          <Line
            x1={LIMIT_X + 2}
            y1={10}
            x2={x}
            y2={10}
            stroke={colour}
            strokeWidth={5}
            strokeDasharray="4 2.5"
          />
        ) : null}
        <Path d={bracket} stroke={c.ink} strokeWidth={2.2} fill="none" />
      </Svg>
      <Txt as="inline" className="w-[68px] text-right">
        {limitText}
      </Txt>
    </Pressable>
  );
}
