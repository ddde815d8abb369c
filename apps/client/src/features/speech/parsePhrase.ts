/** What somebody said to the run sheet. */
export type Phrase = { do: 'next' | 'back' | 'repeat' } | { figures: string[] };

const COMMANDS: Record<string, 'next' | 'back' | 'repeat'> = {
  next: 'next',
  done: 'next',
  'next step': 'next',
  'go on': 'next',
  back: 'back',
  'go back': 'back',
  repeat: 'repeat',
  again: 'repeat',
  'say again': 'repeat',
  'say it again': 'repeat',
};

const ONES =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
const MINUS = ['minus', 'negative'];
/** Words between or after figures that are not part of them. */
const BETWEEN = ['and', 'then', 'comma', 'degrees', 'percent', 'millimetres', 'microns', 'grams'];

/** The figures in a phrase, as they would be typed; null if any word is not a figure. */
function figuresOf(words: readonly string[]): string[] | null {
  const figures: string[] = [];
  let sign = '';
  /** Digits of the present figure; `tens` while ones may still follow. */
  let under: { text: string; tens: boolean; point: boolean } | null = null;
  const end = () => {
    if (under) figures.push(sign + under.text);
    sign = under ? '' : sign;
    under = null;
  };
  for (const word of words) {
    const one = ONES.indexOf(word);
    const ten = TENS.indexOf(word);
    if (under?.point && /^\d+$/.test(word)) under.text += word;
    else if (/^-?\d+(\.\d+)?$/.test(word)) {
      end();
      figures.push(sign + word);
      sign = '';
    } else if (word === 'point' || word === 'dot') {
      under ??= { text: figures.pop() ?? '0', tens: false, point: false };
      if (under.point) return null;
      under = { text: `${under.text}.`, tens: false, point: true };
    } else if (one >= 0) {
      if (under?.point) under.text += String(one);
      else if (under?.tens && one > 0 && one < 10) {
        under = { text: String(Number(under.text) + one), tens: false, point: false };
      } else {
        end();
        under = { text: String(one), tens: false, point: false };
      }
    } else if (ten >= 0) {
      end();
      under = { text: String((ten + 2) * 10), tens: true, point: false };
    } else if (word === 'hundred') {
      if (!under || under.point) return null;
      under = { text: String(Number(under.text) * 100), tens: true, point: false };
    } else if (MINUS.includes(word)) {
      end();
      sign = '-';
    } else if (BETWEEN.includes(word)) end();
    else return null;
  }
  end();
  return figures.length > 0 && figures.every((f) => !f.endsWith('.')) ? figures : null;
}

/** The meaning of a phrase, if it is for the run sheet; null for other talk. Part of a sentence never counts. */
export function parsePhrase(text: string): Phrase | null {
  const said = text
    .toLowerCase()
    .replace(/[°%!?;]/g, ' ')
    .replace(/,(?!\d)/g, ' ')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\.(?!\d)/g, ' ')
    .replace(/−/g, '-')
    .trim()
    .replace(/\s+/g, ' ');
  if (said === '') return null;
  const command = COMMANDS[said];
  if (command) return { do: command };
  const figures = figuresOf(said.split(' '));
  return figures && { figures };
}
