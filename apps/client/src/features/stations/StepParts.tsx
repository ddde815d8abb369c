import { readingsAtHold, runningPlan, tickedBy, windowOf, type RepairView } from '@kelmot/contract';
import {
  clockText,
  dayClockText,
  remediesOf,
  sentencesOf,
  type Plan,
  type Step,
  t,
  warningsOf,
} from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Disclosure } from '@/shared/ui/Button';
import { FigureText } from '@/shared/ui/FigureText';
import { StopMark } from '@/shared/ui/marks';
import { Txt, type TxtProps } from '@/shared/ui/Txt';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';

interface PartProps {
  step: Step;
  view: RepairView;
  plan: Plan;
}

/** What the step waits for, its latest time, and the running clock. */
export function Waits({
  step,
  view,
  plan,
  now,
  as = 'label',
}: PartProps & { now: number; as?: TxtProps['as'] }) {
  const zone = useZone();
  const { tell } = useWords();
  const clock = (at: number) => dayClockText(at, now, zone);
  // Where the plan misses a window, the added steps have their own links.
  return (runningPlan(view) ?? plan).links
    .filter((l) => l.to === step.id && l.instead.length === 0)
    .filter((l) => l.least > 0 || l.most !== null)
    .map((link, i) => {
      const { opens, closes } = windowOf(link, { view, plan, now });
      const from = opens === null ? '' : t('From {opens}', { opens: clock(opens) });
      const by = closes === null ? '' : `${from ? t(', by ') : t('By ')}${clock(closes)}`;
      return (
        <Txt as={as} key={i}>
          {tell(link.why)} {from || by ? `${from}${by}.` : ''}
        </Txt>
      );
    });
}

/** The figures that a step names. */
export function StepFigures({
  step,
  plan,
  as = 'row',
}: Pick<PartProps, 'step' | 'plan'> & { as?: TxtProps['as'] }) {
  const figures = step.figures.flatMap((id) => (plan.figures[id] ? [plan.figures[id]] : []));
  if (figures.length === 0) return null;
  return (
    <View className="flex-row flex-wrap gap-x-6 gap-y-2">
      {figures.map((f) => (
        <FigureText key={f.id} figure={f} label={f.label} as={as} />
      ))}
    </View>
  );
}

/** The last reading of a step against its limit, its time and its person. */
export function Verdict({ step, view }: Pick<PartProps, 'step' | 'view'>) {
  const zone = useZone();
  const { tell } = useWords();
  const last = readingsAtHold(step.id, view.readings).at(-1);
  if (!last) return null;
  const without = last.values.kind === 'override';
  const colour = without ? 'text-ochreInk' : last.passed ? 'text-mossInk' : 'text-oxideInk';
  return (
    <View className="flex-row items-start gap-2" role="status" testID={`verdict-${step.id}`}>
      {last.passed && !without ? null : <StopMark size={22} maybe={without} />}
      <Txt as="inline" className={`min-w-0 flex-1 ${colour}`}>
        {tell(last.say)}{' '}
        <Txt as="label">
          {clockText(Date.parse(last.takenAt), zone)}, {last.by}
        </Txt>
      </Txt>
    </View>
  );
}

/** Who ticked a step, and when; two people: that it was done twice. */
export function TickedBy({
  step,
  view,
  batchNo = null,
}: Pick<PartProps, 'step' | 'view'> & { batchNo?: number | null }) {
  const zone = useZone();
  const ticks = tickedBy(view.checks, step.id, batchNo);
  if (ticks.length === 0) return null;
  const twice = ticks.length > 1;
  return (
    <Txt
      as="label"
      role="status"
      testID={`ticked-${step.id}`}
      className={twice ? 'text-ochreInk' : ''}
    >
      {twice ? t('Done twice: ') : t('Done ')}
      {ticks.map((c) => `${clockText(Date.parse(c.at), zone)}, ${c.by}`).join('; ')}
    </Txt>
  );
}

/** The warnings of a step, then its instructions, one on a line. */
export function StepWords({ step, as = 'body' }: { step: Step; as?: 'body' | 'told' }) {
  const { tell } = useWords();
  const says = sentencesOf(step);
  return (
    <View className="gap-1">
      {warningsOf(step).map((said) => (
        <Txt key={tell(said)} as={as}>
          <Txt as="strong" className="text-oxideInk">
            {t('WARNING: ')}
          </Txt>
          {tell(said)}
        </Txt>
      ))}
      <View role={says.length > 1 ? 'list' : undefined} className="gap-1">
        {says.map((said, i) => (
          <View
            key={`${i} ${said.text}`}
            role={says.length > 1 ? 'listitem' : undefined}
            className="flex-row gap-2"
          >
            {says.length > 1 ? (
              <Txt as="label" className="w-4 pt-0.5">
                {i + 1}
              </Txt>
            ) : null}
            <Txt as={as} className="min-w-0 flex-1">
              {tell(said)}
            </Txt>
          </View>
        ))}
      </View>
    </View>
  );
}

/** What can go wrong with a step, and the remedy; folded. */
export function WhatCanGoWrong({ step, plan }: Pick<PartProps, 'step' | 'plan'>) {
  const [open, setOpen] = useState(false);
  const { tell } = useWords();
  const remedies = remediesOf(plan, step);
  if (remedies.length === 0) return null;
  return (
    <Disclosure label={t('What can go wrong')} open={open} onToggle={() => setOpen(!open)}>
      {remedies.map((w) => (
        <Txt key={w.sign.text}>
          <Txt as="strong">{tell(w.sign)}. </Txt>
          {tell(w.remedy)}
        </Txt>
      ))}
    </Disclosure>
  );
}
