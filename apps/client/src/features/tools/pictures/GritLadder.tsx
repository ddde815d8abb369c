import { t } from '@kelmot/core';
import { GRITS } from '@kelmot/core/film/gritLadder';
import { View } from 'react-native';
import Svg, { G, Line, Text as SvgText } from 'react-native-svg';
import { useTheme } from '@/shared/ui/theme';
import { LETTER, SMALL, type PictureProps } from './props';

const RUNG = 21;
const TOP = 16;

/** The grits as a ladder: used ones in ink, skipped ones in pencil. */
export function GritLadder({ answer, width }: PictureProps) {
  const { c } = useTheme();
  const { grits } = answer as { grits: number[] };
  const shelf = GRITS.filter((g) => g >= (grits[0] ?? 0) && g <= (grits[grits.length - 1] ?? 0));
  const height = TOP * 2 + RUNG * (shelf.length - 1);
  const [left, right] = [width / 2 - 66, width / 2 + 66];
  return (
    <View
      role="img"
      aria-label={t('Sand with {grits}', { grits: grits.map((g) => `P${g}`).join(', ') })}
    >
      <Svg width={width} height={height}>
        {[left, right].map((x) => (
          <Line key={x} x1={x} y1={4} x2={x} y2={height - 4} stroke={c.ink} strokeWidth={2} />
        ))}
        {shelf.map((g, i) => {
          const y = TOP + RUNG * i;
          const turn = grits.indexOf(g);
          const on = turn >= 0;
          return (
            <G key={g}>
              <Line
                x1={left}
                y1={y}
                x2={right}
                y2={y}
                stroke={on ? c.moss : c.rule}
                strokeWidth={on ? 5 : 1.5}
              />
              <SvgText
                {...(on ? LETTER : SMALL)}
                x={right + 12}
                y={y + 5}
                fill={on ? c.ink : c.pencil}
              >
                {t('P{grit}', { grit: g })}
              </SvgText>
              {on ? (
                <SvgText {...LETTER} x={left - 12} y={y + 5} textAnchor="end" fill={c.mossInk}>
                  {String(turn + 1)}
                </SvgText>
              ) : null}
            </G>
          );
        })}
      </Svg>
    </View>
  );
}
