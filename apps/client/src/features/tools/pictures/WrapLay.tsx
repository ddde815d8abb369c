import { formatQuantity, t } from '@kelmot/core';
import type { WrapLay as Lay, WrapLayInput } from '@kelmot/core/wrap/wrapLay';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useAppSelector } from '@/store/hooks';
import { useTheme } from '@/shared/ui/theme';
import { LETTER, SMALL, type PictureProps } from './props';

const HEIGHT = 190;
const MOST_TURNS = 60;

/** The pipe from the side with one pass of tape: square turns at both ends, the pitch, the overlap shaded. */
export function WrapLayPicture({ input, answer, width }: PictureProps) {
  const { c } = useTheme();
  const units = useAppSelector((s) => s.settings.units);
  const given = input as WrapLayInput;
  const lay = answer as Lay;
  const length = Math.max(given.axialLengthMm, given.tapeWidthMm);
  const pxPerMm = Math.min((width - 64) / length, 110 / given.outsideDiameterMm);
  const wrap = length * pxPerMm;
  const pipe = Math.max(24, Math.min(110, given.outsideDiameterMm * pxPerMm));
  const [x0, y0] = [(width - wrap) / 2, 46];
  const tape = given.tapeWidthMm * pxPerMm;
  const advance = tape * (1 - given.overlapPct / 100);
  const turns = Math.min(MOST_TURNS, Math.floor(lay.turnsPerPass - 2 + 1e-9));
  const step = turns > 0 ? Math.max(advance, (wrap - tape) / Math.max(1, turns)) : 0;
  const band = (x: number, lean: number) =>
    `M${x} ${y0 + pipe}l${lean} ${-pipe}h${tape}l${-lean} ${pipe}Z`;
  const laid = Array.from({ length: turns }, (_, i) => x0 + i * step);
  return (
    <View
      role="img"
      aria-label={t('{passes} passes of {round} turns, {metres} of tape', {
        passes: lay.passes,
        round: Math.round(lay.turnsPerPass * 10) / 10,
        metres: formatQuantity(lay.metres * 1000, 'length', units),
      })}
    >
      <Svg width={width} height={HEIGHT}>
        <Rect x={0} y={y0} width={width} height={pipe} fill={c.sheet} />
        {laid.map((x) => (
          <G key={x}>
            <Path
              d={band(x, Math.min(step, wrap - tape - (x - x0)))}
              fill={c.mossTint}
              stroke={c.moss}
              strokeWidth={1}
            />
          </G>
        ))}
        {[x0, x0 + wrap - tape].map((x) => (
          <Rect
            key={x}
            x={x}
            y={y0}
            width={tape}
            height={pipe}
            fill="none"
            stroke={c.mossInk}
            strokeWidth={2}
          />
        ))}
        <Path d={`M0 ${y0}H${width}M0 ${y0 + pipe}H${width}`} stroke={c.ink} strokeWidth={2} />
        <Line
          x1={0}
          y1={y0 + pipe / 2}
          x2={width}
          y2={y0 + pipe / 2}
          stroke={c.ink}
          strokeWidth={0.75}
          strokeDasharray="22 4 4 4"
        />
        <Path
          d={`M${x0} ${y0 - 8}V${y0 - 24}M${x0 + wrap} ${y0 - 8}V${y0 - 24}M${x0} ${y0 - 18}H${x0 + wrap}`}
          stroke={c.ink}
          strokeWidth={0.75}
        />
        <SvgText {...LETTER} x={width / 2} y={y0 - 24} textAnchor="middle" fill={c.ink}>
          {formatQuantity(given.axialLengthMm, 'length', units)}
        </SvgText>
        <SvgText {...SMALL} x={x0} y={y0 + pipe + 22} fill={c.pencil}>
          {t('square turn, then {round} turns at {overlap} % lap', {
            round: Math.round((lay.turnsPerPass - 2) * 10) / 10,
            overlap: given.overlapPct,
          })}
        </SvgText>
      </Svg>
    </View>
  );
}
