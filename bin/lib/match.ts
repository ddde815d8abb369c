import { demandOfSurvey, matchAll, rank, word, type Judged, type Message } from '@kelmot/core';
import { readJob, stop } from './job';

if (process.argv.length > 2) stop('bin/match < job.json');
const { survey, cards, site, units, context } = readJob();
const say = (message: Message): string => word(message, units);

function ruleOf(j: Judged) {
  const { rule, verdict, against, because, condition, relax } = j;
  return {
    rule: rule.id,
    verdict,
    figure: against?.value ?? null,
    limit: against?.limit ?? null,
    because: say(because),
    condition: condition ? say(condition) : null,
    hint: relax ? { path: relax.path, value: relax.text, say: say(relax.say) } : null,
  };
}

const ranked = rank(matchAll(survey, cards, { site, context }), survey.intent);
process.stdout.write(
  `${JSON.stringify({
    ok: true,
    refusals: demandOfSurvey(survey, site).refusals.map(({ id, who, because }) => ({
      reason: id,
      who,
      because: say(because),
    })),
    cards: ranked.map(({ match }) => ({
      card: match.card.code,
      verdict: match.verdict,
      // The first rule that decides the verdict.
      because: match.judged
        .filter((j) => j.verdict === match.verdict)
        .slice(0, 1)
        .map((j) => say(j.because))
        .join(''),
      judged: match.judged.map(ruleOf),
    })),
  })}\n`,
);
