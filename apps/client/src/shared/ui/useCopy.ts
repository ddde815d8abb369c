import { useState } from 'react';

/** Copies text to the clipboard and says so; without the right to it the text stands in `byHand`, to be taken from there. */
export function useCopy() {
  const [said, setSaid] = useState('');
  const [byHand, setByHand] = useState<string | null>(null);
  const copy = (what: string, text: string) => {
    navigator.clipboard?.writeText(text).then(
      () => {
        setSaid(`${what} copied.`);
        setByHand(null);
      },
      () => setByHand(text),
    );
  };
  return { copy, said, byHand };
}
