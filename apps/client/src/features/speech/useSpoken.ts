import { useEffect, useRef } from 'react';
import { useAppSelector } from '@/store/hooks';
import { hush, speak } from './voice';

/** Something that is told once, when it comes: a verdict. */
export interface News {
  id: string;
  text: string;
}

/**
 * Reads a text aloud where somebody switched that on, anew each time that it is another, in place of the one before, and
 * before it what is new: not what was found here. Silent once it is left. Gives a way to hear the text again; null where
 * nothing is read aloud.
 */
export function useSpoken(text: string, news: News | null): (() => void) | null {
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
  useEffect(() => hush, []);
  return on ? () => speak(text, { atOnce: true }) : null;
}
