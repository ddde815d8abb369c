import type { Entry, KeptAnswer } from '@/offline/disk';

/** What the device of a test keeps: entries by key, and answers. */
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
/** What is to stay over the pruning, by the last that asked for one. */
export const pruned: { stays: ((key: string) => boolean) | null } = { stays: null };
export const pruneAnswers = async (stays: (key: string) => boolean) => {
  pruned.stays = stays;
};
