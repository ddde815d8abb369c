import {
  schoolsOf,
  familyOf,
  formatDuration,
  INTENT_NAMES,
  MINUTE,
  formatQuantity,
  figureAndUnit,
  word,
  type Drawing,
  type Figure,
  type Plan,
  type UnitSystem,
  t,
} from '@kelmot/core';
import { headOn, when } from './head';
import { drawSectionOn } from './section';
import { INK, Sheet, STYLES, type Fonts, type PaperSize } from './sheet';
import { stations } from './steps';

export type { PaperSize } from './sheet';

export interface JobCardRequest {
  plan: Plan;
  paper: PaperSize;
  fonts: Fonts;
  /** One a damage, laid out by core for a box as wide as SECTION_BOX. */
  sections: Drawing[];
  /** Where the repair is opened again: printed, and coded as QR. */
  url: string;
  units: UnitSystem;
}

const DAY_MIN = 1440;
const days = (n: number) => formatDuration(n * DAY_MIN);

const figureText = (f: Figure, units: UnitSystem): string => {
  const { figure, unit } = figureAndUnit(f.value, f.quantity, { system: units });
  return f.quantity === 'money' ? `${unit}${figure}` : `${figure} ${unit}`.trim();
};

function head(sheet: Sheet, { plan, url }: JobCardRequest): void {
  const { asset, window } = plan.survey;
  const { zone } = plan.site;
  const back = Date.parse(window.startAt) + window.downMin * MINUTE;
  headOn(sheet, url, [
    [`${asset.tag}  ${asset.name}`, STYLES.title],
    [
      t('{title}. {intent}. {code} {name}, card version {version}.', {
        title: familyOf(plan.survey.family).title,
        intent: INTENT_NAMES[plan.survey.intent],
        code: plan.card.code,
        name: plan.card.name,
        version: plan.card.version,
      }),
      STYLES.row,
    ],
    [
      t('{site}, {position}. Planned {planned}. Back by {back}.', {
        site: plan.site.name,
        position: asset.position,
        planned: when(Date.parse(plan.madeAt), zone),
        back: when(back, zone),
      }),
      STYLES.text,
    ],
  ]);
}

function sections(sheet: Sheet, drawings: Drawing[]): void {
  for (const drawing of drawings) {
    sheet.need(drawing.height + 34);
    sheet.rule(1, INK.ink);
    const x = sheet.left + (sheet.width - drawing.width) / 2;
    drawSectionOn(sheet, drawing, { x0: x, y0: sheet.y + 4 });
    sheet.y += drawing.height + 8;
    sheet.write(drawing.title.map((t) => `${t.key}: ${t.value}`).join('   '), {
      style: STYLES.label,
    });
  }
}

const KEY_FIGURES = [
  'ready',
  'readiness',
  'total',
  'batches',
  'batch',
  'life',
  'coats',
  'coat',
  'layers',
  'cost.total',
  'cost.material',
  'cost.labour',
  'downtime',
  'nothing.until',
  'nothing.cost',
  'quote.cost',
  'quote.ready',
  'part.cost',
  'part.ready',
];

/** Figures in four columns: what a person asks first. */
function keyFigures(sheet: Sheet, { plan, units }: JobCardRequest): void {
  const shown = KEY_FIGURES.flatMap((id) => (plan.figures[id] ? [plan.figures[id]] : []));
  const column = sheet.width / 4;
  for (let i = 0; i < shown.length; i += 4) {
    sheet.need(30);
    shown.slice(i, i + 4).forEach((f, n) => {
      const x = sheet.left + n * column;
      sheet.put(f.label, { x, y: sheet.y, style: STYLES.label });
      sheet.put(figureText(f, units), { x, y: sheet.y + STYLES.label.lead, style: STYLES.row });
    });
    sheet.y += 28;
  }
  if (plan.tightest.length > 0)
    sheet.write(
      t('Smallest margins: {tightest}.', {
        tightest: plan.tightest
          .map((t) => `${word(t.about, units)}, ${formatDuration(t.slackMin)} margin`)
          .join('; '),
      }),
      { style: STYLES.strong },
    );
  if (plan.next)
    sheet.write(
      t(
        'Next best: {code} {name}, ready in {ready}, material and downtime {currency}{cost}, expected life {life}; this one {own}.',
        {
          code: plan.next.code,
          name: plan.next.name,
          ready: formatQuantity(plan.next.readyMin, 'time'),
          currency: plan.site.currency,
          cost: Math.round(plan.next.total),
          life: days(plan.next.lifeDays),
          own: days(plan.lifeDays),
        },
      ),
      { style: STYLES.label },
    );
}

function supplies(sheet: Sheet, { plan, units }: JobCardRequest): void {
  sheet.heading(t('Tools and supplies'));
  sheet.table(
    ['', t('What'), t('For'), t('Needed'), t('Packs'), t('Left over')],
    plan.supplies.map((s) => [
      '[  ]',
      `${s.code ?? ''} ${s.name}`.trim(),
      word(s.for, units),
      formatQuantity(s.amount, s.quantity, units),
      s.picks.map((p) => `${p.count} × ${p.label}, ${p.lot ? `lot ${p.lot}` : 'buy'}`).join('; '),
      s.leftover ? formatQuantity(s.leftover, s.quantity, units) : '',
    ]),
    { shares: [0.3, 1.6, 1.4, 0.8, 2, 0.9] },
  );
  const tools = plan.tools ?? [];
  if (tools.length > 0)
    sheet.write(t('Tools: {tools}.', { tools: tools.join(', ') }), { style: STYLES.text });
}

function safety(sheet: Sheet, { plan, units }: JobCardRequest): void {
  sheet.heading(t('Cautions'));
  for (const c of plan.cautions) sheet.write(`• ${c.text}`, { style: STYLES.text, indent: 4 });
  sheet.write(`Wear: ${plan.gear.join(', ')}.`, { style: STYLES.strong });
  for (const who of plan.approvers)
    sheet.write(
      `${who} approves:   Name ____________________   Signed ____________________   Date ____________`,
      { style: STYLES.strong },
    );
  if (plan.conditions.length > 0)
    sheet.write(
      t('It fits if: {conditions}.', {
        conditions: plan.conditions.map((c) => word(c, units)).join('; '),
      }),
      { style: STYLES.strong },
    );
  for (const warning of plan.warnings) sheet.write(word(warning, units), { style: STYLES.text });
}

function afterwards(sheet: Sheet, { plan, units }: JobCardRequest): void {
  sheet.heading(t('Afterwards'));
  sheet.write(
    plan.replaceInDays === null
      ? t('Inspect it {days} after its return. Expected life {life}.', {
          days: days(plan.nextLookDays),
          life: days(plan.lifeDays),
        })
      : t(
          'Inspect it {days} after its return. Expected life {life}. Stop-gap: replace it within {replaced}.',
          {
            days: days(plan.nextLookDays),
            life: days(plan.lifeDays),
            replaced: days(plan.replaceInDays),
          },
        ),
    { style: STYLES.text },
  );
  for (const line of plan.removal)
    sheet.write(t('How to remove it: {word}', { word: word(line, units) }), { style: STYLES.text });
  for (const school of schoolsOf(familyOf(plan.survey.family).method.schools, plan.card)) {
    const value = plan.schools[school.id] ?? school.usual;
    const label = school.options.find((o) => o.value === value)?.label;
    if (label) sheet.write(`${school.question}: ${label.toLowerCase()}.`, { style: STYLES.label });
  }
  sheet.y += 8;
  sheet.need(STYLES.text.lead);
  sheet.write(
    t(
      'Done by ____________________   Date ____________   Accepted by ____________________   Date ____________',
    ),
    { style: STYLES.text },
  );
}

/** The job card as a PDF: Section, steps with tick boxes, quantities, clocks, cautions, and a QR code back to the repair. */
export async function jobCard(request: JobCardRequest): Promise<Uint8Array> {
  const { plan, paper, fonts, sections: drawings } = request;
  const sheet = await Sheet.open(paper, fonts);
  sheet.doc.setTitle(t('Job card {tag}', { tag: plan.survey.asset.tag }));
  sheet.doc.setProducer(t('Kelmot'));
  sheet.doc.setCreationDate(new Date(plan.madeAt));
  sheet.doc.setModificationDate(new Date(plan.madeAt));
  head(sheet, request);
  sections(sheet, drawings);
  sheet.y += 6;
  keyFigures(sheet, request);
  safety(sheet, request);
  supplies(sheet, request);
  stations(sheet, request);
  afterwards(sheet, request);
  const example = plan.card.example
    ? t(' Example figures: replace with your supplier’s data sheet.')
    : '';
  sheet.finish(
    t(
      '{tag} {code}, core {core}.{example} The law, your site’s rules and the licensed trade come first.',
      { tag: plan.survey.asset.tag, code: plan.card.code, core: plan.core, example },
    ),
  );
  return sheet.doc.save();
}
