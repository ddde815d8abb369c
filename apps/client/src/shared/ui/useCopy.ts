import { t } from '@kelmot/core';
import { useState } from 'react';

/** Copies text to the clipboard and says so; without permission, the text is in `byHand` to be copied by hand. */
export function useCopy() {
  const [said, setSaid] = useState('');
  const [byHand, setByHand] = useState<string | null>(null);
  const copy = (what: string, text: string) => {
    navigator.clipboard?.writeText(text).then(
      () => {
        setSaid(t('{what} copied.', { what }));
        setByHand(null);
      },
      () => setByHand(text),
    );
  };
  return { copy, said, byHand };
}
