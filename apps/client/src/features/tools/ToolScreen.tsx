import {
  calcTitle,
  formOf,
  readTyped,
  resultRows,
  typedOf,
  type Calc,
  type Typed,
  type Answer,
  type UnitSystem,
  t,
} from '@kelmot/core';
import { calcByName } from '@kelmot/core/calculations/registry';
import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Frame } from '@/features/frame';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { toolTyped } from '@/store/tools';
import { SecondaryButton } from '@/shared/ui/Button';
import { FieldError } from '@/shared/ui/fields';
import { useLayout, useMargins } from '@/shared/ui/layout';
import { Empty } from '@/shared/ui/states';
import { Txt } from '@/shared/ui/Txt';
import { WorkingRows } from '@/shared/ui/Working';
import { pictures } from './pictures';
import { Fields } from './ToolForm';
import { ToolHead } from './ToolHead';
import { resultText, ToolResult } from './ToolResult';
import { useCopy } from '@/shared/ui/useCopy';
import { useCalc, type CalcState } from './useCalc';

/** The input in the address, if it can be read: a shared link. */
function inputOf(text: string | undefined): unknown {
  if (!text) return undefined;
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

/**
 * The typed form of a tool, kept on the device: from a shared link, otherwise as it was left, otherwise its example.
 */
function useTyped(calc: Calc) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((s) => s.settings.units);
  const kept = useAppSelector((s) => s.tools.typed[calc.name]);
  const { in: shared } = useLocalSearchParams<{ in?: string }>();
  const form = useMemo(() => formOf(calc), [calc]);
  const example = useMemo(() => typedOf(form, calc.example, units) ?? {}, [form, calc, units]);
  const put = (typed: Typed) => dispatch(toolTyped({ tool: calc.name, typed }));
  useEffect(() => {
    const typed = typedOf(form, inputOf(shared), units);
    if (shared === undefined) return;
    if (typed !== undefined) dispatch(toolTyped({ tool: calc.name, typed }));
    // The link's input is taken: from now on the typed values count, also after a reload.
    router.replace(`/know-how/${calc.name}`);
  }, [shared, form, units, calc, dispatch]);
  return { form, typed: kept ?? example, example, put, units };
}

function Progress({ state }: { state: CalcState }) {
  if (state.stopped) {
    return (
      <View className="flex-row items-center justify-between gap-3">
        <Txt as="inline">{t('Stopped.')}</Txt>
        <SecondaryButton label={t('Run again')} testID="tool-again" onPress={state.again} />
      </View>
    );
  }
  if (state.busy === null) return null;
  const pct = Math.round(state.busy * 100);
  return (
    <View className="flex-row items-center gap-3">
      <View
        role="progressbar"
        aria-label={t('Calculating')}
        aria-valuenow={pct}
        aria-valuemin={0}
        aria-valuemax={100}
        testID="tool-progress"
        className="h-3.5 flex-1 border border-ink bg-sheet"
      >
        <View className="h-full bg-moss" style={{ width: `${pct}%` }} />
      </View>
      <SecondaryButton label={t('Stop')} testID="tool-stop" onPress={state.stop} />
    </View>
  );
}

/** Picture, figures and working of a tool. */
function Outcome({
  calc,
  input,
  state,
  width,
}: {
  calc: Calc;
  input: unknown;
  state: CalcState;
  width: number;
}) {
  const Picture = pictures[calc.name];
  const inner = width - useMargins();
  const answer =
    state.result?.status === 'answer' ? (state.result.answer as ReturnType<Calc['run']>) : null;
  const taken = useMemo(() => {
    const parsed = calc.input.safeParse(input);
    return parsed.success ? parsed.data : null;
  }, [calc, input]);
  return (
    <View className="gap-4 p-4">
      <Progress state={state} />
      {answer?.ok && Picture && taken !== null && inner > 0 ? (
        <Picture input={taken} answer={answer} width={inner} />
      ) : null}
      {answer ? <ToolResult calc={calc} answer={answer} /> : null}
      {!answer && state.busy === null && !state.stopped ? (
        <Txt className="text-pencil">{t('The answer appears here when all fields are valid.')}</Txt>
      ) : null}
    </View>
  );
}

function About({ calc }: { calc: Calc }) {
  return (
    <View className="gap-2 border-t border-ink px-4 py-4">
      <Txt as="rowBold" role="heading">
        {t('Source')}
      </Txt>
      {calc.formula.map((f) => (
        <Txt key={f}>{f}</Txt>
      ))}
      <Txt className="text-pencil">{calc.source}</Txt>
      <Txt as="strong">{calc.limits}</Txt>
    </View>
  );
}

function Tool({ calc }: { calc: Calc }) {
  const layout = useLayout();
  const { form, typed, example, put, units } = useTyped(calc);
  const [width, setWidth] = useState(0);
  const { copy, said, byHand } = useCopy();
  const [before, setBefore] = useState<Typed | null>(null);
  const read = useMemo(() => readTyped(form, typed, { system: units }), [form, typed, units]);
  const input = read.issues.length === 0 ? read.value : null;
  const state = useCalc(calc, input);
  const errors = useMemo(() => {
    const found = state.result?.status === 'bad' ? state.result.bad.issues : [];
    return new Map([...found, ...read.issues].map((i) => [i.path, i.message]));
  }, [state.result, read.issues]);
  const answer =
    state.result?.status === 'answer' ? (state.result.answer as ReturnType<Calc['run']>) : null;
  const title = calcTitle(calc.name);

  const link = () =>
    `${globalThis.location?.origin ?? ''}/know-how/${calc.name}?in=${encodeURIComponent(JSON.stringify(input))}`;
  const outcome = (at: number) => (
    <View className="bg-sheet">
      <Outcome calc={calc} input={input} state={state} width={at} />
    </View>
  );
  const working = answer?.ok ? (
    <View className="gap-2 border-t border-ink bg-sheet px-4 py-4" testID="tool-working">
      <Txt as="rowBold" role="heading">
        {t('Working')}
      </Txt>
      <WorkingRows lines={answer.working} />
    </View>
  ) : null;

  return (
    <Frame
      tab="know-how"
      aside={
        layout === 'wide' ? (
          <ScrollView tabIndex={0}>
            {outcome(379)}
            {working}
          </ScrollView>
        ) : undefined
      }
    >
      <ToolHead title={title} />
      <ScrollView
        className="flex-1"
        keyboardShouldPersistTaps="handled"
        testID={`screen-${calc.name}`}
        onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      >
        {layout === 'wide' ? null : <View className="border-b border-ink">{outcome(width)}</View>}
        <View className="gap-4 px-4 py-4">
          <Txt className="text-pencil">{calc.purpose}</Txt>
          <FieldError error={errors.get('')} />
          <Fields node={form} path={[]} typed={typed} onTyped={put} errors={errors} />
          <ToolActions
            answer={answer}
            copy={copy}
            title={title}
            calc={calc}
            units={units}
            input={input}
            link={link}
            before={before}
            put={put}
            setBefore={setBefore}
            typed={typed}
            example={example}
          />
          <ToolSaid byHand={byHand} said={said} />
        </View>
        {layout === 'wide' ? null : working}
        <About calc={calc} />
      </ScrollView>
    </Frame>
  );
}

function ToolSaid({ byHand, said }: { byHand: string | null; said: string }) {
  return (
    <View role="status" aria-live="polite">
      {byHand || said ? (
        <Txt as="inline" selectable testID="tool-said">
          {byHand ?? said}
        </Txt>
      ) : null}
    </View>
  );
}

function ToolActions({
  answer,
  copy,
  title,
  calc,
  units,
  input,
  link,
  before,
  put,
  setBefore,
  typed,
  example,
}: {
  answer: Answer<object> | null;
  copy: (what: string, text: string) => void;
  title: string;
  calc: Calc;
  units: UnitSystem;
  input: unknown;
  link: () => string;
  before: Typed | null;
  put: (typed: Typed) => void;
  setBefore: (value: Typed | null) => void;
  typed: Typed;
  example: Typed;
}) {
  return (
    <View className="flex-row flex-wrap gap-2">
      <SecondaryButton
        label={t('Copy the result')}
        testID="tool-copy"
        disabled={!answer?.ok}
        onPress={() =>
          answer && copy(t('Result'), resultText(title, resultRows(calc, answer, units)))
        }
      />
      <SecondaryButton
        label={t('Copy a link')}
        testID="tool-link"
        disabled={input === null}
        onPress={() => copy(t('Link'), link())}
      />
      {before ? (
        <SecondaryButton
          label={t('Undo: restore my input')}
          testID="tool-undo"
          onPress={() => {
            put(before);
            setBefore(null);
          }}
        />
      ) : typed !== example ? (
        <SecondaryButton
          label={t('Back to the example')}
          testID="tool-example"
          onPress={() => {
            setBefore(typed);
            put(example);
          }}
        />
      ) : null}
    </View>
  );
}

/** A calculation without a repair: input fields, live answer, working, and source. */
export function ToolScreen() {
  const { tool } = useLocalSearchParams<{ tool: string }>();
  const calc = calcByName.get(tool);
  if (calc) return <Tool key={calc.name} calc={calc} />;
  return (
    <Frame tab="know-how">
      <Empty
        title={t('There is no tool called {tool}.', { tool })}
        action={{ label: t('See all tools'), onPress: () => router.navigate('/know-how') }}
      />
    </Frame>
  );
}
