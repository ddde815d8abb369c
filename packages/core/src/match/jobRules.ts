import { cureTime } from '../cure/cureTime';
import { MILESTONE_NAMES } from '../materials/card';
import { SLOPE_NAMES } from '../materials/words';
import { bondHolds } from '../plan/bond';
import { timeline } from '../plan/timeline';
import { minutesTo, timeTo, type WorkUp } from '../plan/workUp';
import { say } from '../units/format';
import { fits, fitsIf, no, type Relax, type Rule } from './rule';

const mm = (x: number) => say(x, 'length');
const time = (x: number) => say(x, 'time');
/** More batches than this in one job is a crowd at the pail, not a plan to lean on. */
const MANY_BATCHES = 6;
/** Wall left, under which the pressure boundary is an engineer's to judge: share of sound wall, and mm. */
const THIN_SHARE = 0.5;
const THIN_MM = 3;

/** The coldest steel (whole °C, at most 15 warmer and inside the card) at which the cure still ends inside the window. */
function warmEnough(work: WorkUp, spareMin: number): Relax | undefined {
  const points = work.card.cure.milestones[work.needed];
  if (!points || spareMin <= 0) return undefined;
  const now = Math.ceil(work.survey.readings.surfaceC);
  const top = Math.min(work.card.ambient.maxSurfaceC, now + 15);
  for (let tempC = now; tempC <= top; tempC++) {
    const at = cureTime({ points, tempC });
    if (at.ok && at.minutes <= spareMin) {
      return {
        say: `held at ${say(tempC, 'temperature')} or more`,
        path: 'readings.surfaceC',
        text: `${tempC} °C`,
      };
    }
  }
  return undefined;
}

/** Whether the job can be done: how thick, how many coats and batches, in the hours there are, on the wall that is left. */
export const jobRules: Rule[] = [
  {
    id: 'thickness',
    name: 'One coat',
    question: 'Can it be built this thick at this slope?',
    judge: ({ card, survey, buildMm, coats, wrap }) => {
      if (wrap) return fits(() => `${wrap.layers} layers, ${mm(buildMm)}.`);
      const slope = SLOPE_NAMES[survey.surface.slope].toLowerCase();
      const perCoat = card.layer.maxMm[survey.surface.slope];
      const against = {
        value: buildMm,
        limit: perCoat,
        quantity: 'length' as const,
        sense: 'max' as const,
      };
      const { minMm, maxTotalMm, leastCoats } = card.layer;
      if (buildMm < minMm) {
        return fitsIf(
          () => `undercut to ${mm(minMm)}`,
          () => `It is ${mm(buildMm)} deep; ${mm(minMm)} is the least that holds.`,
          {
            against: { ...against, limit: minMm, sense: 'min' },
          },
        );
      }
      if (buildMm > maxTotalMm) {
        return no(() => `It is ${mm(buildMm)} deep; ${mm(maxTotalMm)} is the most in all.`, {
          against: { ...against, limit: maxTotalMm },
        });
      }
      if (coats > leastCoats) {
        return fitsIf(
          () => `built in ${coats} coats`,
          () =>
            `${SLOPE_NAMES[survey.surface.slope]}, one coat holds ${mm(perCoat)}; it is ${mm(buildMm)}.`,
          { against },
        );
      }
      const because = () =>
        leastCoats > 1
          ? `${leastCoats} coats of up to ${mm(perCoat)}, ${slope}.`
          : `One coat to ${mm(perCoat)}, ${slope}.`;
      return fits(because, { ...against, limit: perCoat * leastCoats });
    },
  },
  {
    id: 'batches',
    name: 'Batches',
    question: 'Can it be mixed and placed inside its working life?',
    judge: ({ batch, batches }) => {
      if (!batch.ok) return no(batch.why);
      const against = {
        value: batches,
        limit: MANY_BATCHES,
        quantity: 'count' as const,
        sense: 'max' as const,
      };
      const each = () =>
        `${say(batch.batchMl, 'volume')} each, ${time(batch.batchLifeMin)} of life`;
      if (batches > MANY_BATCHES) {
        return fitsIf(
          () => `mixed in ${batches} small batches`,
          () => `${each()}; more than ${MANY_BATCHES} follow one another.`,
          { against },
        );
      }
      return fits(
        () => `${batches === 1 ? 'One batch' : `${batches} batches`}, ${each()}.`,
        against,
      );
    },
  },
  {
    id: 'window',
    name: 'Back in',
    question: 'Is it cured before it must run?',
    judge: (work) => {
      const { survey, needed } = work;
      const { downMin } = survey.window;
      const plan = timeline(work);
      const name = MILESTONE_NAMES[needed];
      if (!plan && work.coats > 1 && minutesTo(work, 'overcoatOpens') === null)
        return no(
          () =>
            `It takes ${work.coats} coats; the card has no overcoat window at this temperature.`,
        );
      if (!plan) {
        const refusal = timeTo(work, needed);
        return no(refusal && !refusal.ok ? refusal.why : `The card has no time to ${name}.`);
      }
      const against = {
        value: plan.readyMin,
        limit: downMin,
        quantity: 'time' as const,
        sense: 'max' as const,
      };
      if (plan.readyMin <= downMin)
        return fits(() => `Ready for ${name} in ${time(plan.readyMin)}.`, against);
      const because = () =>
        `Ready for ${name} in ${time(plan.readyMin)}; it may be down ${time(downMin)}.`;
      const cureNow = minutesTo(work, needed) ?? 0;
      const warm = warmEnough(work, downMin - (plan.readyMin - cureNow));
      if (warm)
        return fitsIf(warm.say, because, {
          against,
          relax: { ...warm, say: `Would if ${warm.say}.` },
        });
      const more = Math.ceil((plan.readyMin - downMin) / 30) * 30;
      return no(because, {
        against,
        relax: {
          say: `Would with ${time(more)} more.`,
          path: 'window.downMin',
          text: time(downMin + more),
        },
      });
    },
  },
  {
    id: 'load',
    name: 'Bond',
    question: 'Does the bonded area carry the load, with a factor to spare?',
    judge: ({ card, demand }) => {
      const { load } = demand;
      const shear = card.service.lapShearMPa;
      if (!load) return fits('Nothing hangs on the bond.');
      if (!shear) return no('Its lap shear strength is not on the card: it may not carry a load.');
      const holds = bondHolds(load.areaMm2, shear);
      const against = {
        value: load.newtons,
        limit: holds,
        quantity: 'force' as const,
        sense: 'max' as const,
      };
      const because = () =>
        `It carries ${say(load.newtons, 'force')}; the bond is good for ${say(holds, 'force')}.`;
      return load.newtons <= holds ? fits(because, against) : no(because, { against });
    },
  },
  {
    id: 'wall',
    name: 'Wall left',
    question: 'Is enough wall left for the paste to be a lining and not the wall?',
    judge: ({ bodies }) => {
      const walls = bodies.flatMap(({ body }) => (body.remainingMm === null ? [] : [body]));
      const thinnest = walls.sort((p, q) => (p.remainingMm ?? 0) - (q.remainingMm ?? 0))[0];
      if (!thinnest || thinnest.remainingMm === null) return fits('It holds no pressure.');
      const left = thinnest.remainingMm;
      const limit = Math.max(THIN_MM, THIN_SHARE * (left + thinnest.buildMm));
      const against = { value: left, limit, quantity: 'length' as const, sense: 'min' as const };
      if (left >= limit) return fits(() => `${mm(left)} of wall is left.`, against);
      return fitsIf(
        'a pressure engineer approves the wall',
        () => `${mm(left)} of wall is left; under ${mm(limit)} the paste would carry pressure.`,
        {
          against,
        },
      );
    },
  },
];
