import { demoPlan, demoSurvey, openRepairs, surveyedRepairs } from '@kelmot/demo';
import type { Screen } from './browser';
import type { Days } from './days';

/** Sends a command from a page, as its person; it must succeed. */
const post = (screen: Screen, command: object): Promise<void> =>
  screen.page.evaluate(async (body) => {
    const headers = { 'content-type': 'application/json' };
    const answer = await fetch('/api/commands', {
      method: 'POST',
      headers,
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(await answer.text());
  }, command);

const get = <T>(screen: Screen, path: string): Promise<T> =>
  screen.page.evaluate(
    async (at) => (await (await fetch(at)).json()) as unknown,
    path,
  ) as Promise<T>;

/**
 * Begins another repair with the survey of a demo repair, and chooses its card, or the first that fits: it is at the
 * beginning of Prep. Returns its address.
 */
export async function takenAs(screen: Screen, tag: string, days: Days): Promise<string> {
  const known = [...surveyedRepairs, ...openRepairs].find((repair) => repair.tag === tag);
  if (!known) throw new Error(`no demo repair on ${tag}`);
  const madeAt = new Date(days.now()).toISOString();
  const assets = await get<{ id: string; tag: string }[]>(screen, '/api/assets');
  const asset = assets.find((a) => a.tag === tag);
  const survey = demoSurvey(tag, asset?.id ?? null, madeAt, known.survey);
  const cardCode =
    'taken' in known ? known.taken?.cardCode : 'cardCode' in known ? known.cardCode : undefined;
  const { card } = demoPlan({ survey, cardCode, madeAt });
  const repairId = crypto.randomUUID();
  const command = (body: object) => ({ id: crypto.randomUUID(), repairId, at: madeAt, ...body });
  await post(screen, command({ type: 'repair.create', survey }));
  await post(
    screen,
    command({
      ...{ type: 'plan.make', expect: 1, planId: crypto.randomUUID(), cardCode: card.code },
      ...{ intent: survey.intent, schools: {}, seconds: {} },
    }),
  );
  return `/repair/${repairId}/run`;
}
