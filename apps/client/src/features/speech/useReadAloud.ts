import { useEffect, useRef } from 'react';
import { useAppSelector } from '@/store/hooks';
import { stopSpeaking, speak } from './voice';

/** A text that is read aloud once, when it comes: a verdict. */
export interface News {
  id: string;
  text: string;
}

/**
 * Reads a text aloud if chosen: again at each change, in place of the text before, and after any news that comes while
 * the screen is open. Silent once the screen is left. Returns a function that repeats the text; null if reading aloud
 * is off.
 */
export function useReadAloud(text: string, news: News | null): (() => void) | null {
  const on = useAppSelector((s) => s.settings.aloud);
  const said = useRef({ text: '', news: news?.id });
  const newsId = news?.id;
  const newsText = news?.text ?? '';
  useEffect(() => {
    const parts = [
      newsId === said.current.news ? '' : newsText,
      text === said.current.text ? '' : text,
    ];
    said.current = { text, news: newsId };
    if (on) speak(parts.filter(Boolean).join(' '), { atOnce: true });
  }, [on, text, newsId, newsText]);
  useEffect(() => stopSpeaking, []);
  return on ? () => speak(text, { atOnce: true }) : null;
}
