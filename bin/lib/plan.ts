import { makePlan, matchAll, rank, word, type Message } from '@kelmot/core';
import { readJob, stop, worded } from './job';

const [code, ...more] = process.argv.slice(2);
if (more.length > 0 || code?.startsWith('-')) stop('bin/plan [CARD] < job.json');
const { survey, cards, site, units, madeAt, context } = readJob();
const say = (message: Message): string => word(message, units);

const asked = code
  ? cards.filter((c) => c.code === code)
  : rank(matchAll(survey, cards, { site, context }), survey.intent)
      .filter((s) => s.match.verdict !== 'no')
      .map((s) => s.match.card);
if (code && asked.length === 0)
  stop('no such card', [
    { path: 'CARD', message: `must be one of ${cards.map((c) => c.code).join(', ')}` },
  ]);

function planned(): object {
  let why = 'No card fits this job.';
  for (const card of asked) {
    const made = makePlan(survey, card, { site, madeAt, context });
    if (made.ok) return { ok: true, plan: worded(made.plan, say) };
    why = say(made.why);
  }
  return { ok: false, why };
}
process.stdout.write(`${JSON.stringify(planned())}\n`);
