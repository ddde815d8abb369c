import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { MARK_NAMES, storyOf } from '@kelmot/contract';
import { drawSection, layersText, m, word, type Plan } from '@kelmot/core';
import { AT as MET, met, planOf, viewOf } from '../../contract/test/view';
import { demoPlan, demoSurvey, surveyedRepairs } from '@kelmot/demo';
import Papa from 'papaparse';
import { PDFDocument } from 'pdf-lib';
import {
  calendarOf,
  jobCard,
  momentsOf,
  pickingList,
  recordList,
  recordPaper,
  SECTION_BOX,
  type PaperSize,
} from '../src/index';
import { countLine } from '../src/pdf/steps';

const AT = '2026-11-25T08:00:00Z';
const font = (family: string, name: string) =>
  readFileSync(
    join(
      __dirname,
      `../../../node_modules/@expo-google-fonts/${family}/${name.split('_')[1]}/${name}.ttf`,
    ),
  );
const fonts = {
  text: font('barlow', 'Barlow_400Regular'),
  bold: font('barlow', 'Barlow_600SemiBold'),
  label: font('barlow-semi-condensed', 'BarlowSemiCondensed_600SemiBold'),
};

function planned(family: string): Plan {
  const found = surveyedRepairs.filter((r) => r.survey.family === family).at(-1);
  if (!found) throw new Error(`no demo survey of ${family}`);
  return demoPlan({ survey: demoSurvey(found.tag, null, AT, found.survey), madeAt: AT });
}

async function printed(plan: Plan, paper: PaperSize): Promise<PDFDocument> {
  const sections = plan.survey.damages.map((d) =>
    drawSection(plan.survey.family, d, {
      ...SECTION_BOX,
      system: 'metric',
      tag: plan.survey.asset.tag,
      material: plan.survey.parent.material,
      medium: null,
      layers: ['planned'],
      edgeMm: plan.card.layer.minEdgeMm,
      label: layersText(plan),
      plan,
      dimensions: true,
      unknown: [],
    }),
  );
  const bytes = await jobCard({
    plan,
    paper,
    fonts,
    sections,
    url: 'http://127.0.0.1:4700/repair/x/prep',
    units: 'metric',
  });
  return PDFDocument.load(bytes);
}

const families = [...new Set(surveyedRepairs.map((r) => r.survey.family))];

test.each(families)('the job card of %s prints', async (family) => {
  const plan = planned(family);
  const a4 = await printed(plan, 'a4');
  expect(a4.getPageCount()).toBeGreaterThanOrEqual(2);
  expect(a4.getPageCount()).toBeLessThanOrEqual(7);
  expect(a4.getTitle()).toBe(`Job card ${plan.survey.asset.tag}`);
  expect(a4.getPage(0).getSize()).toEqual({ width: 595.28, height: 841.89 });
});

test('counts of a step have room for their start times, or check marks if there are many', () => {
  const line = (times: number) =>
    countLine({ label: m('Pressure held'), minutes: 10, times }, 'metric');
  expect(line(1)).toBe('Pressure held: 10 min.   From ______ to ______');
  expect(line(2)).toBe(
    'Pressure held: 10 min, 2 times.   From ______ to ______   From ______ to ______',
  );
  expect(line(12)).toBe('Pressure held: 10 min, 12 times.   Done ______');
});

test('a job card prints on letter too, always the same bytes', async () => {
  const plan = planned('F6');
  const letter = await printed(plan, 'letter');
  expect(letter.getPage(0).getSize()).toEqual({ width: 612, height: 792 });
  const [one, two] = await Promise.all([printed(plan, 'a4'), printed(plan, 'a4')]);
  expect((await one.save()).length).toBe((await two.save()).length);
});

describe('the picking list', () => {
  const rows = (plan: Plan) =>
    Papa.parse<Record<string, string>>(pickingList(plan, 'metric'), { header: true }).data;

  test('names every supply, and the price of each pack', () => {
    const plan = planned('F9');
    const list = rows(plan);
    expect(list.map((r) => r.item)).toEqual(
      expect.arrayContaining(plan.supplies.map((s) => s.name)),
    );
    const price = list.reduce((sum, r) => sum + Number(r.price ?? 0), 0);
    expect(price).toBeCloseTo(plan.figures['cost.material']?.value ?? 0, 6);
  });

  test.each(['=1+1', '=1\n+1', '\n=1', '  @SUM(A1)', '＝1+1', '+1', '-1', '\tx'])(
    'a lot that looks like a formula is not run as one: %j',
    (lot) => {
      const plan = planned('F6');
      const [pick] = plan.supplies[0]?.picks ?? [];
      if (!pick) throw new Error('nothing is drawn');
      pick.lot = lot;
      expect(rows(plan).map((r) => r.lot)).toContain(`'${lot}`);
    },
  );
});

test('a picking list uses the unit in its heading', () => {
  const plan = planned('F9');
  const [system] = plan.supplies;
  if (!system) throw new Error('a plan has its system first');
  const heavy = { ...system, amount: 25_000, quantity: 'mass' as const };
  const text = pickingList({ ...plan, supplies: [heavy] }, 'metric');
  const [row] = Papa.parse<Record<string, string>>(text, { header: true }).data;
  expect([row?.needed, row?.unit]).toEqual(['25', 'kg']);
});

describe('the timeline', () => {
  test('goes forward, and ends with the next look', () => {
    const plan = planned('F5');
    const moments = momentsOf(plan);
    for (const moment of moments) expect(moment.to).toBeGreaterThanOrEqual(moment.from);
    const at = (id: string) => moments.find((x) => x.id === id)?.from ?? NaN;
    expect(Math.min(...moments.map((x) => x.from))).toBe(Date.parse(AT));
    expect(at('look')).toBe(
      Date.parse(AT) + plan.readyMin * 60_000 + plan.nextLookDays * 86_400_000,
    );
    expect(moments.some((x) => x.id === 'replace')).toBe(false);
    expect(momentsOf(planned('F4')).some((x) => x.id === 'replace')).toBe(true);
  });

  test.each(families)('every round and every wait of %s is a separate event', (family) => {
    const plan = planned(family);
    const moments = momentsOf(plan);
    expect(new Set(moments.map((x) => x.id)).size).toBe(moments.length);
    for (const round of plan.rounds.filter((r) => r.batches.length > 0))
      expect(moments.some((x) => x.title.includes(`${word(round.name)}, ${round.card.code}`))).toBe(
        true,
      );
    for (const step of plan.steps.filter((x) => x.hold?.kind === 'countdown'))
      expect(moments.some((x) => x.title === word(step.title))).toBe(true);
  });

  test('is an iCalendar with the same events when sent again, later plans after earlier', () => {
    const plan = planned('F6');
    const ask = { plan, repairId: 'repair-1', url: 'http://127.0.0.1/x', number: 1 };
    const text = calendarOf(ask);
    expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
    expect(text).toMatch(/END:VCALENDAR\r\n$/);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(momentsOf(plan).length);
    expect(text).toContain('UID:repair-1-back');
    expect(calendarOf(ask)).toBe(text);
    expect(text).toContain('SEQUENCE:0');
    expect(calendarOf({ ...ask, number: 3 })).toContain('SEQUENCE:2');
  });

  test('escapes special characters in names', () => {
    const plan = planned('F6');
    const survey = { ...plan.survey, asset: { ...plan.survey.asset, tag: 'A;B,C' } };
    const text = calendarOf({
      plan: { ...plan, survey } as Plan,
      repairId: 'r',
      url: 'http://x',
      number: 1,
    });
    expect(text).toContain('A\\;B\\,C');
  });
});

describe('the record', () => {
  const plan = planOf();
  const done = met(viewOf(plan), ['prep', 'mix'], MET);
  const [reading] = done.readings;
  if (!reading) throw new Error('nothing is read');
  const approval = {
    ...reading,
    id: 'approval',
    values: { kind: 'approval', name: '=N. Body', reference: 'Q-1', account: null } as const,
    say: m('{text}', { text: '=Approved.' }),
  };
  const view = { ...done, readings: [...done.readings, approval] };
  const paper = async (size: PaperSize, of = view) =>
    PDFDocument.load(
      await recordPaper({ view: of, plan, paper: size, fonts, url: 'http://x/1', units: 'metric' }),
    );

  test('prints on one or more pages, also without records', async () => {
    const [a4, letter, empty] = await Promise.all([
      paper('a4'),
      paper('letter'),
      paper('a4', viewOf(plan)),
    ]);
    expect(a4.getTitle()).toBe('Record P-1');
    expect(letter.getPage(0).getSize()).toEqual({ width: 612, height: 792 });
    expect(empty.getPageCount()).toBe(1);
    const often = Array.from({ length: 90 }, (_, i) => ({ ...reading, id: `${i}` }));
    expect((await paper('a4', { ...view, readings: often })).getPageCount()).toBeGreaterThan(2);
  });

  test('as a list has each line of the story, in its words, and runs no formula', () => {
    const text = recordList(view, 'metric');
    const rows = Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;
    const story = storyOf(view);
    expect(rows).toHaveLength(story.length);
    expect(rows.map((r) => r.what)).toEqual(story.map((s) => word(s.title)));
    expect(rows.map((r) => r.at)).toEqual(story.map((s) => s.at));
    expect(recordList(viewOf(plan), 'metric').trim()).toBe('at,what,found,limit,mark,by,plan');
    const typed = rows.find((r) => r.mark === MARK_NAMES.unverified);
    expect([typed?.found, typed?.by, typed?.plan]).toEqual(["'=Approved.", 'Ida', '1']);
  });
});
