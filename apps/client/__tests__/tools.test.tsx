import {
  calcTitle,
  formOf,
  asPlainData,
  readTyped,
  resultRows,
  typedOf,
  type Typed,
} from '@kelmot/core';
import { calcByName, calcs } from '@kelmot/core/calculations/registry';
import { configureStore } from '@reduxjs/toolkit';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { useState, type ReactElement } from 'react';
import { Provider } from 'react-redux';
import { pictures } from '@/features/tools/pictures';
import { Fields } from '@/features/tools/ToolForm';
import { resultText, ToolResult } from '@/features/tools/ToolResult';
import { useCalc } from '@/features/tools/useCalc';
import { chooseUnits } from '@/features/settings/chooseUnits';
import { settingsReducer } from '@/store/settings';
import { makeStore } from '@/store/store';
import { toolsReducer, toolTyped } from '@/store/tools';
import { Txt } from '@/shared/ui/Txt';

// The chart package leaves timers behind after a test; e2e tests cover the real charts.
jest.mock('react-native-gifted-charts', () => ({ LineChart: () => null }));

function show(element: ReactElement) {
  const store = configureStore({ reducer: { settings: settingsReducer, tools: toolsReducer } });
  render(<Provider store={store}>{element}</Provider>);
  return store;
}

const calcOf = (name: string) => {
  const calc = calcByName.get(name);
  if (!calc) throw new Error(name);
  return calc;
};

function Form({ name, seen }: { name: string; seen: (typed: Typed) => void }) {
  const calc = calcOf(name);
  const form = formOf(calc);
  const [typed, setTyped] = useState<Typed>(typedOf(form, calc.example, 'metric') ?? {});
  const errors = new Map(
    readTyped(form, typed, { system: 'metric' }).issues.map((i) => [i.path, i.message]),
  );
  const put = (next: Typed) => {
    setTyped(next);
    seen(next);
  };
  return <Fields node={form} path={[]} typed={typed} onTyped={put} errors={errors} />;
}

test('rows are added as copies of the last and removed; an error is at its row', () => {
  let typed: Typed = {};
  show(<Form name="cure-time" seen={(t) => (typed = t)} />);
  fireEvent.press(screen.getByTestId('tool-points-add'));
  expect(typed).toMatchObject({ points: { length: 4, 3: { tempC: '30', minutes: '380' } } });
  fireEvent.changeText(screen.getByTestId('tool-points.3.tempC'), 'warm');
  expect(screen.getByText(/“warm” is not a number/)).toBeTruthy();
  fireEvent.press(screen.getByTestId('tool-points.3-remove'));
  expect(typed).toMatchObject({ points: { length: 3 } });
});

test('another shape has its own sizes; a flag is ticked', () => {
  let typed: Typed = {};
  show(<Form name="belt-patch" seen={(t) => (typed = t)} />);
  expect(screen.queryByTestId('tool-hole.widthMm')).toBeNull();
  fireEvent.press(screen.getByTestId('tool-hole-slot'));
  expect(screen.getByTestId('tool-hole.widthMm')).toBeTruthy();
  fireEvent.press(screen.getByTestId('tool-through'));
  expect(typed).toMatchObject({ through: false });
});

test.each(calcs.map((c) => c.name))(
  '%s shows its main result, the others, and copies as text',
  (name) => {
    const calc = calcOf(name);
    const answer = calc.run(calc.example);
    show(<ToolResult calc={calc} answer={answer} />);
    expect(screen.getByTestId('tool-result')).toBeTruthy();
    const text = resultText(calcTitle(name), resultRows(calc, answer, 'metric'));
    expect(text.split('\n').length).toBeGreaterThan(1);
    expect(text).not.toMatch(/undefined|NaN|null/);
  },
);

test('without an answer the reason is shown', () => {
  show(<ToolResult calc={calcOf('film')} answer={{ ok: false, why: 'No loss measured.' }} />);
  expect(screen.getByText('No loss measured.')).toBeTruthy();
});

test.each(Object.keys(pictures))(
  '%s is drawn from its example and named for screen readers',
  (name) => {
    const calc = calcOf(name);
    const Picture = pictures[name];
    if (!Picture) throw new Error(name);
    show(
      <Picture
        input={calc.input.parse(calc.example)}
        answer={asPlainData(calc.run(calc.example))}
        width={358}
      />,
    );
    expect(screen.getAllByLabelText(/.{4,}/).length).toBeGreaterThan(0);
  },
);

function Answer({ name, input }: { name: string; input: unknown }) {
  const { result, busy } = useCalc(calcOf(name), input);
  const answer =
    result?.status === 'answer'
      ? (result.answer as { totalPrice?: number; dewPointC?: number })
      : null;
  return (
    <Txt testID="answer">
      {answer
        ? String(answer.totalPrice ?? answer.dewPointC?.toFixed(2))
        : busy === null
          ? 'none'
          : 'busy'}
    </Txt>
  );
}

test('short calculations answer at once; long ones after a pause, in a worker if possible', async () => {
  jest.useFakeTimers();
  show(<Answer name="dew-point" input={{ airC: 20, rhPct: 50 }} />);
  expect(screen.getByTestId('answer').children).toEqual(['9.26']);
  show(
    <Answer name="kit-pick" input={{ neededMl: 300, kits: [{ id: 'a', ml: 100, price: 7 }] }} />,
  );
  expect(screen.getByTestId('answer').children).toEqual(['busy']);
  await act(async () => {
    await jest.advanceTimersByTimeAsync(400);
  });
  expect(screen.getByTestId('answer').children).toEqual(['21']);
  jest.useRealTimers();
});

test('typed tool inputs get their unit before the unit system changes', () => {
  const typed = { count: '8', points: [{ tempC: '10', minutes: '2 h' }], tempC: '16' };
  const store = makeStore();
  store.dispatch(toolTyped({ tool: 'cure-time', typed }));
  store.dispatch(chooseUnits('us'));
  store.dispatch(chooseUnits('us'));
  expect(store.getState().tools.typed['cure-time']).toMatchObject({
    points: [{ tempC: '10 °C', minutes: '2 h' }],
    tempC: '16 °C',
  });
});
