import { sentence, spoken, word, type Message, type UnitSystem } from '@kelmot/core';
import { useAppSelector } from '@/store/hooks';

/** Words core's messages in the reader's units. */
export function useWords(): {
  units: UnitSystem;
  say: (message: Message) => string;
  tell: (message: Message) => string;
  /** For speech: units by their names. */
  aloud: (message: Message) => string;
} {
  const units = useAppSelector((s) => s.settings.units);
  return {
    units,
    say: (message) => word(message, units),
    tell: (message) => sentence(message, units),
    aloud: (message) => spoken(message, units),
  };
}
