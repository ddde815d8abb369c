import {
  MARK_NAMES,
  REVIEW_NAMES,
  storyOf,
  type RepairView,
  type StoryLine,
} from '@kelmot/contract';
import {
  sentence,
  STATION_NAMES,
  word,
  type Plan,
  type UnitSystem,
  type Zone,
  t,
} from '@kelmot/core';
import { headOn, when } from './head';
import { Sheet, STYLES, type Fonts, type PaperSize } from './sheet';

export interface RecordRequest {
  view: RepairView;
  plan: Plan;
  paper: PaperSize;
  fonts: Fonts;
  /** Where the repair is opened again: printed, and coded as QR. */
  url: string;
  units: UnitSystem;
}

/** How the repair stands, in one line. */
function standing({ view, plan }: RecordRequest): string {
  const last = view.signoffs.at(-1);
  if (view.status === 'closed' && last)
    return t('Accepted by {name}, {when}, signed in.', {
      name: last.name,
      when: when(Date.parse(last.at), plan.site.zone),
    });
  return t('Not accepted yet. Station: {station}.', { station: STATION_NAMES[view.station] });
}

function cellsOf(line: StoryLine, zone: Zone, units: UnitSystem): string[] {
  return [
    when(Date.parse(line.at), zone),
    `${sentence(line.title, units)}${line.plan === null ? '' : `, plan ${line.plan}`}`,
    line.say ? word(line.say, units) : '',
    line.limit ? word(line.limit, units) : '',
    line.mark ? MARK_NAMES[line.mark] : '',
    line.by,
  ];
}

/** The record of a repair as a PDF: what was done in the order of time, each reading against its limit, by whom, marked where it needs an eye. */
export async function recordPaper(request: RecordRequest): Promise<Uint8Array> {
  const { view, plan, paper, fonts, url, units } = request;
  const { zone } = plan.site;
  const sheet = await Sheet.open(paper, fonts);
  sheet.doc.setTitle(`Record ${view.tag}`);
  sheet.doc.setProducer(t('Kelmot'));
  const at = new Date(view.updatedAt);
  sheet.doc.setCreationDate(at);
  sheet.doc.setModificationDate(at);
  headOn(sheet, url, [
    [`${view.tag}  ${view.assetName}`, STYLES.title],
    [
      t('The record: {title}. {code} {name}, card version {version}, plan {number}.', {
        title: view.title,
        code: plan.card.code,
        name: plan.card.name,
        version: plan.card.version,
        number: view.plan?.number ?? 1,
      }),
      STYLES.row,
    ],
    [`${plan.site.name}, ${view.position}. ${standing(request)}`, STYLES.text],
  ]);
  sheet.heading(t('Record'));
  const story = storyOf(view);
  if (story.length === 0) sheet.write(t('No records yet.'), { style: STYLES.text });
  else
    sheet.table(
      [t('When'), t('What'), t('Found'), t('Limit'), '', 'By'],
      story.map((line) => cellsOf(line, zone, units)),
      { shares: [1.15, 1.7, 2.5, 1.5, 0.8, 0.9], style: STYLES.label },
    );
  if (view.reviews.length > 0) {
    sheet.heading(t('Afterwards'));
    for (const { kind, dueOn, doneAt } of view.reviews)
      sheet.write(
        `${REVIEW_NAMES[kind]} by ${dueOn}${doneAt ? `, done ${when(Date.parse(doneAt), zone)}` : ''}.`,
        { style: STYLES.text },
      );
  }
  sheet.finish(
    t(
      '{tag} {code}, core {core}. Times are those of the recording device. “Not verified” marks a typed name; all other names are signed-in accounts.',
      { tag: view.tag, code: plan.card.code, core: plan.core },
    ),
  );
  return sheet.doc.save();
}
