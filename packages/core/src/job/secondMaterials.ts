import type { SystemCard } from '../materials/card';
import type { Purpose } from '../materials/words';
import type { Message } from '../message/message';
import type { Job } from './job';
import { judgeSeconds } from './seconds';

/** A second material of a job: which was chosen, why, and every alternative card. */
export interface SecondMaterial {
  purpose: Purpose;
  card: SystemCard;
  because: Message | null;
  options: SystemCard[];
}

/** The second materials of a job, in the order of its family. */
export function secondMaterials({ work, family }: Job): SecondMaterial[] {
  const asked = new Map<Purpose, SecondMaterial>();
  const watched: typeof work = {
    ...work,
    second: (need) => {
      const { purpose } = need;
      const found = work.second(need);
      const options = judgeSeconds(work, need).filter((j) => j.verdict !== 'no');
      asked.set(purpose, {
        purpose,
        card: found.card,
        because: found.because,
        options: options.map((j) => j.card),
      });
      return found;
    },
  };
  family.method.draft(watched as never);
  return [...asked.values()];
}
