import { parseQuantity, formatQuantity, shownUnit, type UnitSystem, t } from '@kelmot/core';
import { useEffect, useState, type Dispatch, type SetStateAction } from 'react';
import {
  Image,
  useWindowDimensions,
  View,
  type GestureResponderEvent,
  type ViewProps,
} from 'react-native';
import Svg, { Path, Text as SvgText } from 'react-native-svg';
import { PrimaryButton, SecondaryButton } from '@/shared/ui/Button';
import { Choices, FieldFrame, TextBox, FieldError } from '@/shared/ui/fields';
import { PageOverlay } from '@/shared/ui/PageOverlay';
import { useWords } from '@/shared/ui/useWords';
import { pictureWithMarks } from './drawMarks';
import {
  newMark,
  extendMark,
  isMark,
  labelAt,
  markStyle,
  MARK_KINDS,
  pathOf,
  strokesOf,
  type Mark,
  type MarkKind,
} from './marks';

const NAMES: Record<MarkKind, string> = {
  line: t('Line'),
  arrow: t('Arrow'),
  outline: t('Outline'),
};
const OPTIONS = MARK_KINDS.map((kind) => ({ value: kind, label: NAMES[kind] }));
/** The longest length that can be written on a mark, mm. */
const LONGEST_MM = 100_000;
/** Largest share of the screen's height for the picture: the controls stay visible. */
const MOST_HIGH = 0.45;
/** A finger draws here and does not scroll. */
const DRAWN_ON = {
  touchAction: 'none',
  cursor: 'crosshair',
} as unknown as ViewProps['style'];

/** The marks over the picture, as they will be saved. */
function Marks({ marks, width, height }: { marks: Mark[]; width: number; height: number }) {
  const { light, edge, line, edgeLine, text, edgeText, above, font } = markStyle(width, height);
  return (
    <Svg width={width} height={height} pointerEvents="none" style={{ position: 'absolute' }}>
      {marks.map((mark, i) => {
        const d = pathOf(strokesOf(mark, width, height));
        const [x, y] = labelAt(mark, width, height);
        const round = { strokeLinecap: 'round', strokeLinejoin: 'round', fill: 'none' } as const;
        const lettering = {
          ...{ x, y: y - above, fontSize: text, fontFamily: font },
          textAnchor: 'middle',
        } as const;
        return [
          <Path key={`${i}-edge`} d={d} stroke={edge} strokeWidth={edgeLine} {...round} />,
          <Path key={`${i}-line`} d={d} stroke={light} strokeWidth={line} {...round} />,
          mark.label ? (
            <SvgText key={`${i}-halo`} {...lettering} stroke={edge} strokeWidth={edgeText}>
              {mark.label}
            </SvgText>
          ) : null,
          mark.label ? (
            <SvgText key={`${i}-label`} {...lettering} fill={light}>
              {mark.label}
            </SvgText>
          ) : null,
        ];
      })}
    </Svg>
  );
}

interface MarkPictureProps {
  uri: string;
  /** What the picture shows. */
  label: string;
  close: () => void;
  /** Takes the picture with its marks, a JPEG in base64. */
  keep: (data: string) => void;
}

/** Width divided by height of a picture; null while it loads. */
function useShape(uri: string, setFailed: (failed: boolean) => void): number | null {
  const [shape, setShape] = useState<number | null>(null);
  useEffect(() => {
    const came = (w: number, h: number) => setShape(w / h);
    Image.getSize(uri, came, () => setFailed(true));
  }, [uri, setFailed]);
  return shape;
}

/** What is typed as the length of the next mark: its text, its value in mm, and its error. */
function useMarkLength() {
  const { units } = useWords();
  const [length, setLength] = useState('');
  const parsed = length.trim() === '' ? null : parseQuantity(length, 'length', { system: units });
  const wrong = !parsed
    ? null
    : !parsed.ok
      ? parsed.message
      : parsed.value > 0 && parsed.value <= LONGEST_MM
        ? null
        : t('Type a length over 0, {lONGEST_MM} at most.', {
            lONGEST_MM: formatQuantity(LONGEST_MM, 'length', units),
          });
  const withLength = (mark: Mark): Mark => ({
    ...mark,
    label: parsed?.ok && wrong === null ? formatQuantity(parsed.value, 'length', units) : '',
  });
  return { length, setLength, units, wrong, withLength };
}

/** Draws lines, arrows and outlines on a picture by finger, each with a length. Saves a new picture. */
export function PictureMarker({ uri, label, close, keep }: MarkPictureProps) {
  const { length, setLength, units, wrong, withLength } = useMarkLength();
  const [kind, setKind] = useState<MarkKind>('line');
  const [marks, setMarks] = useState<Mark[]>([]);
  const [under, setUnder] = useState<Mark | null>(null);
  const [failed, setFailed] = useState(false);
  const [room, setRoom] = useState(0);
  const { height: most } = useWindowDimensions();
  const shape = useShape(uri, setFailed);
  const width = Math.min(room, most * MOST_HIGH * (shape ?? 1));
  const size = { width, height: width / (shape ?? 1) };
  const at = ({ nativeEvent: { locationX, locationY } }: GestureResponderEvent) => ({
    x: locationX / size.width,
    y: locationY / size.height,
  });
  const release = () => {
    if (under && isMark(under)) {
      setMarks([...marks, withLength(under)]);
      setLength('');
    }
    setUnder(null);
  };
  const done = async () => {
    const data = await pictureWithMarks(uri, marks);
    if (data === null) return setFailed(true);
    keep(data);
    close();
  };
  return (
    <PageOverlay
      title={t('Draw on this picture')}
      label={t('Draw on: {label}', { label })}
      testID="mark-picture"
      close={close}
    >
      <Choices
        id="mark"
        label={t('Mark')}
        options={OPTIONS}
        value={kind}
        onPick={(v) => setKind(MARK_KINDS.find((known) => known === v) ?? 'line')}
      />
      <LengthOfMark wrong={wrong} length={length} setLength={setLength} units={units} />
      <View
        className="items-start"
        onLayout={({ nativeEvent: { layout } }) => setRoom(layout.width)}
      >
        <DrawnSheet
          label={label}
          marks={marks}
          size={size}
          wrong={wrong}
          setUnder={setUnder}
          kind={kind}
          at={at}
          release={release}
          uri={uri}
          under={under}
          withLength={withLength}
        />
      </View>
      {failed ? <Unreadable /> : null}
      <SecondaryButton
        label={t('Undo the last mark')}
        testID="mark-undo"
        disabled={marks.length === 0}
        onPress={() => setMarks(marks.slice(0, -1))}
      />
      <PrimaryButton
        label={t('Save with the step')}
        testID="mark-keep"
        sign="tick"
        disabled={marks.length === 0}
        onPress={() => void done()}
      />
    </PageOverlay>
  );
}

const Unreadable = () => (
  <FieldError error={t('This picture could not be read. Open it again when there is signal.')} />
);

function DrawnSheet({
  label,
  marks,
  size,
  wrong,
  setUnder,
  kind,
  at,
  release,
  uri,
  under,
  withLength,
}: {
  label: string;
  marks: Mark[];
  size: { width: number; height: number };
  wrong: string | null;
  setUnder: Dispatch<SetStateAction<Mark | null>>;
  kind: MarkKind;
  at: ({ nativeEvent: { locationX, locationY } }: GestureResponderEvent) => {
    x: number;
    y: number;
  };
  release: () => void;
  uri: string;
  under: Mark | null;
  withLength: (mark: Mark) => Mark;
}) {
  return (
    <View
      testID="mark-sheet"
      role="img"
      aria-label={t('{label}, {marks} drawn on it', { label, marks: marks.length })}
      className="border border-ink"
      style={[size, DRAWN_ON]}
      onStartShouldSetResponder={() => wrong === null}
      onResponderGrant={(e) => setUnder(newMark(kind, at(e)))}
      onResponderMove={(e) => setUnder((mark) => mark && extendMark(mark, at(e)))}
      onResponderRelease={release}
      onResponderTerminate={() => setUnder(null)}
      onResponderTerminationRequest={() => false}
    >
      <View className="h-full w-full" style={{ pointerEvents: 'none' }}>
        <Image source={{ uri }} className="h-full w-full" resizeMode="stretch" />
      </View>
      <Marks marks={under ? [...marks, withLength(under)] : marks} {...size} />
    </View>
  );
}

function LengthOfMark({
  wrong,
  length,
  setLength,
  units,
}: {
  wrong: string | null;
  length: string;
  setLength: (value: string) => void;
  units: UnitSystem;
}) {
  return (
    <FieldFrame
      label={t('Length')}
      why={t('Type the length first, then draw. Leave empty for a mark without length.')}
      error={wrong ?? undefined}
    >
      <TextBox
        id="mark-length"
        label={t('Length')}
        text={length}
        onText={setLength}
        unit={shownUnit('length', units).symbol}
        numeric
      />
    </FieldFrame>
  );
}
