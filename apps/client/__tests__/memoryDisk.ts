import type { Entry, KeptAnswer } from '@/offline/disk';

/** The fake storage of the device: entries by key, and answers. */
export const entries = new Map<string, unknown>();
export const answers = new Map<string, KeptAnswer>();

export const readEntries = async (): Promise<Entry[]> => [...entries];
export async function writeEntries(changes: readonly Entry[]): Promise<void> {
  for (const [key, value] of changes)
    if (value === undefined) entries.delete(key);
    else entries.set(key, value);
}
export const readAnswer = async (key: string) => answers.get(key);
export const writeAnswer = async (answer: KeptAnswer) => void answers.set(answer.key, answer);
export const dropAnswer = async (key: string) => void answers.delete(key);
/** The filter of the last pruning: the keys that must stay. */
export const pruned: { stays: ((key: string) => boolean) | null } = { stays: null };
export const pruneAnswers = async (stays: (key: string) => boolean) => {
  pruned.stays = stays;
};
