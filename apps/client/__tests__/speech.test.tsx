/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react-native/pure';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { useReadAloud, type News } from '@/features/speech/useReadAloud';
import { canSpeak, speak } from '@/features/speech/voice';
import { aloudChosen } from '@/store/settings';
import { freshStore } from './opened';
import { standTheClock } from './timed';

/** What the platform was told to say since it was last silenced, and how often it was silenced. */
let saying: string[] = [];
let hushed = 0;
const voice = {
  speechSynthesis: {
    speak: ({ text }: { text: string }) => saying.push(text),
    cancel: () => {
      saying = [];
      hushed += 1;
    },
  },
  SpeechSynthesisUtterance: class {
    lang = '';
    constructor(readonly text: string) {}
  },
};

standTheClock();
beforeEach(() => {
  saying = [];
  hushed = 0;
  Object.assign(globalThis, voice);
});

/** A screen that reads a step aloud, with news. */
function screenOf(on: boolean, text: string, news: News | null = null) {
  const store = freshStore();
  store.dispatch(aloudChosen(on));
  return renderHook(
    (shown: { text: string; news: News | null }) => useReadAloud(shown.text, shown.news),
    {
      initialProps: { text, news },
      wrapper: ({ children }: { children: ReactNode }) => (
        <Provider store={store}>{children}</Provider>
      ),
    },
  );
}

test('nothing is read aloud unless switched on', () => {
  const { result, rerender } = screenOf(false, 'Clean the wall.');
  rerender({ text: 'Abrade it.', news: { id: '1', text: 'It passes.' } });
  expect([saying, hushed, result.current]).toEqual([[], 0, null]);
});

test('a step is read once, the next replaces it, and it repeats on demand', () => {
  const { result, rerender, unmount } = screenOf(true, 'Clean the wall.');
  expect(saying).toEqual(['Clean the wall.']);
  rerender({ text: 'Clean the wall.', news: null });
  expect([saying, hushed]).toEqual([['Clean the wall.'], 1]);
  rerender({ text: 'Abrade it.', news: null });
  expect(saying).toEqual(['Abrade it.']);
  act(() => result.current?.());
  expect([saying, hushed]).toEqual([['Abrade it.'], 3]);
  unmount();
  expect(saying).toEqual([]);
});

test('a verdict is read before the next step, or alone', () => {
  const found = { id: '1', text: 'It was dry.' };
  const { rerender } = screenOf(true, 'Measure.', found);
  expect(saying).toEqual(['Measure.']);
  rerender({ text: 'Measure.', news: { id: '2', text: 'Too damp.' } });
  expect(saying).toEqual(['Too damp.']);
  rerender({ text: 'Mix.', news: { id: '3', text: 'Dry.' } });
  expect(saying).toEqual(['Dry. Mix.']);
});

test('later texts wait for the present one, and an empty one does not silence it', () => {
  speak('First.');
  speak('Second.');
  expect(saying).toEqual(['First.', 'Second.']);
  speak(' ', { atOnce: true });
  expect(saying).toEqual(['First.', 'Second.']);
  speak('Stop.', { atOnce: true });
  expect(saying).toEqual(['Stop.']);
});

test('a platform without a voice is reported and breaks nothing', () => {
  Object.assign(globalThis, { speechSynthesis: undefined });
  expect(canSpeak()).toBe(false);
  speak('Nobody hears.');
  const { unmount } = screenOf(true, 'Clean the wall.');
  unmount();
  expect(saying).toEqual([]);
});
