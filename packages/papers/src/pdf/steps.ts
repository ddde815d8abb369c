import { mixOf } from '@kelmot/contract';
import {
  formatDuration,
  MILESTONE_NAMES,
  formatQuantity,
  sentence,
  sentencesOf,
  STATION_NAMES,
  STATIONS,
  stepTime,
  usableMinutes,
  warningsOf,
  weighing,
  word,
  type Figure,
  type Hold,
  type Plan,
  type PlanRound,
  type Step,
  type Timed,
  type UnitSystem,
  t,
} from '@kelmot/core';
import { type Sheet, STYLES } from './sheet';

const INDENT = 30;

/** What is written on the line of a hold: limits, and room for what was read. */
function holdLine(hold: Hold, units: UnitSystem): string | null {
  switch (hold.kind) {
    case 'check':
      return null;
    case 'ambient':
      return 'Air ______   Humidity ______   Surface ______   Go / Stop';
    case 'reading': {
      const limits = [
        hold.min === null
          ? null
          : t('{min} or more', { min: formatQuantity(hold.min, hold.quantity, units) }),
        hold.max === null
          ? null
          : t('{max} or less', { max: formatQuantity(hold.max, hold.quantity, units) }),
      ].filter(Boolean);
      return `${sentence(hold.label, units)}: ${limits.join(', ')}.   Read ____________`;
    }
    case 'hardness':
      return t('Shore {scale} {target} or more:{repeat}', {
        scale: hold.scale,
        target: hold.target,
        repeat: '   ______'.repeat(hold.minReadings),
      });
    case 'thickness':
      return t('Mean {target}, none under {target2}: {repeat}', {
        target: formatQuantity(hold.targetMm, 'length', units),
        target2: formatQuantity(hold.targetMm * hold.leastShare, 'length', units),
        repeat: '   ______'.repeat(hold.minReadings),
      });
    case 'countdown':
      return `${sentence(hold.label, units)}: ${formatDuration(hold.minutes)}.   From ______ to ______`;
    case 'photo':
      return `Photograph: ${word(hold.label, units)}.`;
    case 'approval':
      return 'Name ______________________   Reference ________________   Signed ______________';
  }
}

/** More begins than this are struck off as they come, not written out one by one. */
const MOST_WRITTEN = 3;

/** What is counted beside a step: how long, how often, and room for when it was begun. */
export function countLine({ label, minutes, times }: Timed, units: UnitSystem): string {
  const room = times > MOST_WRITTEN ? '   Done ______' : '   From ______ to ______'.repeat(times);
  const often = times > 1 ? `, ${times} times` : '';
  return `${sentence(label, units)}: ${formatDuration(minutes)}${often}.${room}`;
}

/** The wait before a step, as its links say it. */
function notBefore(step: Step, plan: Plan, units: UnitSystem): string[] {
  return plan.links
    .filter((l) => l.to === step.id && (l.least > 0 || l.most !== null))
    .map((l) => word(l.why, units));
}

const figureLine = (figures: Figure[], units: UnitSystem): string =>
  figures.map((f) => `${f.label} ${formatQuantity(f.value, f.quantity, units)}`).join('   ');

function stepOn(
  sheet: Sheet,
  step: Step,
  { no, plan, units }: { no: number; plan: Plan; units: UnitSystem },
): void {
  const time = stepTime(step);
  const side = [
    time > 0 ? formatDuration(time) : '',
    step.people > 1 ? `${step.people} people` : '',
    step.eachBatch ? t('each batch') : '',
  ]
    .filter(Boolean)
    .join(', ');
  const warnings = warningsOf(step).map((one) => t('WARNING: {text}', { text: word(one, units) }));
  const said = sentencesOf(step).map((one) => word(one, units));
  // Numbered in one paragraph: a line for each would make the card a third longer.
  const says = said.length > 1 ? said.map((one, i) => `${i + 1} ${one}`).join('  ') : said.join('');
  const rows = [...warnings, says].flatMap((line) =>
    sheet.wrap(line, sheet.width - INDENT, STYLES.text),
  ).length;
  sheet.need(STYLES.row.lead + Math.min(rows, 3) * STYLES.text.lead + 6);
  if (step.hold) sheet.box({ x: sheet.left, y: sheet.y + 1, width: 11, height: 11 });
  sheet.put(`${no}`, { x: sheet.left + 16, y: sheet.y, style: STYLES.row });
  sheet.put(sentence(step.title, units), { x: sheet.left + INDENT, y: sheet.y, style: STYLES.row });
  sheet.put(side, { x: sheet.right, y: sheet.y + 1.5, style: STYLES.label, align: 'right' });
  sheet.y += STYLES.row.lead;
  for (const warning of warnings) sheet.write(warning, { style: STYLES.strong, indent: INDENT });
  sheet.write(says, { style: STYLES.text, indent: INDENT });
  for (const wait of notBefore(step, plan, units))
    sheet.write(wait, { style: STYLES.label, indent: INDENT });
  const figures = step.figures.flatMap((id) => plan.figures[id] ?? []);
  if (figures.length > 0)
    sheet.write(figureLine(figures, units), { style: STYLES.strong, indent: INDENT });
  const lines = [
    step.timed && countLine(step.timed, units),
    step.hold && holdLine(step.hold, units),
  ];
  for (const line of lines.filter((x) => x != null)) {
    sheet.y += 2;
    sheet.write(line, { style: STYLES.strong, indent: INDENT });
  }
  for (const { sign, remedy } of step.wrong)
    sheet.write(`${word(sign, units)}: ${word(remedy, units)}`, {
      style: STYLES.label,
      indent: INDENT,
    });
  sheet.y += 4;
  sheet.rule();
  sheet.y += 4;
}

/** The batches of a round, its parts by the names that its card gives them. */
function batches(
  sheet: Sheet,
  plan: Plan,
  { round, units }: { round: PlanRound; units: UnitSystem },
): void {
  const [first] = round.batches;
  if (!first) return;
  const weigh = weighing(mixOf(plan, first), first.consistency, plan.survey.surface.slope);
  const grams = (g: number | null) => (g === null ? '' : formatQuantity(g, 'mass', units));
  sheet.write(`${sentence(round.name, units)}: ${round.card.code} ${round.card.name}`, {
    style: STYLES.strong,
  });
  sheet.table(
    [
      t('Batch'),
      t('Makes'),
      weigh?.nameA ?? '',
      weigh?.nameB ?? '',
      t('Place within'),
      t('Lot'),
      t('Mixed at'),
      t('Placed at'),
    ],
    round.batches.map((b) => [
      `${b.no}`,
      formatQuantity(b.ml, 'volume', units),
      grams(b.aG),
      grams(b.bG),
      formatDuration(usableMinutes(b)),
      '__________',
      '________',
      '________',
    ]),
    { shares: [0.6, 1, 1, 1, 1.2, 1.3, 1, 1] },
  );
  sheet.y += 4;
}

function clocks(sheet: Sheet, round: PlanRound, units: UnitSystem): void {
  if (round.milestones.length === 0) return;
  sheet.write(`${sentence(round.name, units)}, ${round.card.code}`, { style: STYLES.strong });
  sheet.table(
    [t('From its last mix'), t('After'), t('At the clock'), t('Needed')],
    [...round.milestones]
      .sort((p, q) => p.minutes - q.minutes)
      .map((c) => [
        MILESTONE_NAMES[c.id],
        formatDuration(c.minutes),
        '________',
        c.id === round.needed ? t('this one') : '',
      ]),
    { shares: [2, 1, 1, 1] },
  );
  sheet.y += 4;
}

/** Every station with its steps in the order people work; the batches before the mixing, the clocks before the cure. */
export function stations(sheet: Sheet, { plan, units }: { plan: Plan; units: UnitSystem }): void {
  for (const station of STATIONS) {
    const steps = plan.steps.filter((s) => s.station === station);
    if (steps.length === 0) continue;
    sheet.heading(STATION_NAMES[station]);
    if (station === 'mix') for (const round of plan.rounds) batches(sheet, plan, { round, units });
    if (station === 'cure') {
      for (const round of plan.rounds) clocks(sheet, round, units);
      if (plan.heat.length > 0)
        sheet.write(
          t('If heated, {milestone} comes sooner: {heat}.', {
            milestone: MILESTONE_NAMES[plan.needed],
            heat: plan.heat
              .map(
                (h) =>
                  `${formatDuration(h.minutes)} at ${formatQuantity(h.tempC, 'temperature', units)}`,
              )
              .join(', '),
          }),
          { style: STYLES.label },
        );
    }
    for (const step of steps)
      stepOn(sheet, step, { no: plan.steps.indexOf(step) + 1, plan, units });
  }
}
