import { configureStore } from '@reduxjs/toolkit';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState, type ReactElement } from 'react';
import { Provider } from 'react-redux';
import { familyOf, type Figure, type QuantityField } from '@kelmot/core';
import { settingsReducer } from '@/store/settings';
import { viewReducer } from '@/store/view';
import { PrimaryButton, SecondaryButton } from '@/shared/ui/Button';
import { FieldBox } from '@/shared/ui/fields';
import { FigureText } from '@/shared/ui/FigureText';
import { forbiddenSide, LimitRule } from '@/shared/ui/LimitRule';
import { fillOf, Hatches } from '@/shared/ui/hatches';
import { colours } from '@/shared/ui/tokens.cjs';
import { StationScale } from '@/shared/ui/StationScale';
import { Table, type Column } from '@/shared/ui/Table';
import { WorkingSheet } from '@/shared/ui/Working';
import { surveyChanges } from '@/shared/repair/surveyChanges';
import { survey } from '../../../packages/core/test/fixtures';

const show = (element: ReactElement) => {
  const store = configureStore({ reducer: { settings: settingsReducer, view: viewReducer } });
  return render(<Provider store={store}>{element}</Provider>);
};

const figure: Figure = {
  id: 'total',
  label: 'To mix',
  value: 381.2,
  quantity: 'volume',
  working: [
    {
      symbol: 'ΣV',
      label: 'to mix in all',
      expression: '320 + 61.2',
      value: 381.2,
      unit: 'ml',
      source: 'survey',
    },
  ],
  paths: ['damages.0.depthMm'],
};

test('a touched figure shows its working, its source and what would change it', () => {
  show(
    <>
      <FigureText figure={figure} label="to mix" />
      <WorkingSheet namePath={(p) => (p.endsWith('depthMm') ? 'Greatest depth' : p)} />
    </>,
  );
  expect(screen.queryByText('to mix in all')).toBeNull();
  fireEvent.press(screen.getByLabelText('to mix 381 ml. Show working'));
  expect(screen.getByText('320 + 61.2')).toBeTruthy();
  expect(screen.getByText('Greatest depth')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Close working'));
  expect(screen.queryByText('320 + 61.2')).toBeNull();
});

test('a number field steps, keeps what is typed, and shows errors', () => {
  const field = familyOf('F2').shapes[0]?.fields.depthMm as QuantityField;
  function Held() {
    const [text, setText] = useState('11');
    return (
      <FieldBox
        id="depth"
        field={field}
        text={text}
        onText={setText}
        error={text === 'deep' ? 'Type a number in mm.' : undefined}
      />
    );
  }
  show(<Held />);
  fireEvent.press(screen.getByLabelText('Greatest depth: more by 0.5 mm'));
  expect(screen.getByTestId('depth').props.value).toBe('11.5');
  fireEvent.changeText(screen.getByTestId('depth'), 'deep');
  expect(screen.getByTestId('depth').props.value).toBe('deep');
  expect(screen.getByText('Type a number in mm.')).toBeTruthy();
});

test('a disabled action cannot be pressed and says why', () => {
  const press = jest.fn();
  show(<PrimaryButton label="Start batch 2" disabled onPress={press} />);
  fireEvent.press(screen.getByLabelText('Start batch 2'));
  expect(press).not.toHaveBeenCalled();
});

test.each([
  ['max', 62, /needs 55 °C or less/],
  ['min', 62, /needs 55 °C or more/],
] as const)('a limit that is a %s says so in words', (sense, value, words) => {
  show(
    <LimitRule
      name="Wet heat"
      verdict={sense === 'max' ? 'no' : 'fits'}
      against={{ value, limit: 55, quantity: 'temperature', sense }}
    />,
  );
  expect(screen.getByText(words)).toBeTruthy();
  expect(screen.getByText('62 °C')).toBeTruthy();
});

test('the forbidden side is right of an upper limit and left of a lower one', () => {
  const [most, least] = (['max', 'min'] as const).map((sense) => forbiddenSide(sense));
  expect(most?.from).toBeGreaterThan(0);
  expect(least).toMatchObject({ from: 0 });
  expect(least?.to).toBeLessThan(most?.to ?? 0);
});

describe('the station scale', () => {
  const notch = (station: string, no: number) =>
    screen.queryByTestId(`notch-${station}-${no}`, { includeHiddenElements: true });
  const scale = (rounds: readonly boolean[]) => (
    <StationScale
      width={390}
      current="mix"
      reached="mix"
      rounds={rounds}
      onPick={() => undefined}
    />
  );
  test('has a notch for each round at Mix, Build and Cure', () => {
    show(scale([true, false, false]));
    for (const station of ['mix', 'build', 'cure'])
      for (const no of [1, 2, 3]) expect(notch(station, no)).toBeTruthy();
    expect(notch('prep', 1)).toBeNull();
  });
  test('has none with a single round', () => {
    show(scale([true]));
    expect(notch('mix', 1)).toBeNull();
  });
});

describe('a table', () => {
  const rows = [
    { id: 'a', name: 'Pump 10', hours: 30 },
    { id: 'b', name: 'Pump 9', hours: 4 },
    { id: 'c', name: 'Belt', hours: 100 },
  ];
  const columns: Column<(typeof rows)[number]>[] = [
    { key: 'name', title: 'Name', share: 2, text: (r) => r.name },
    { key: 'hours', title: 'Hours', share: 1, text: (r) => `${r.hours} h`, by: (r) => r.hours },
  ];
  const clipboard = (writeText: (text: string) => Promise<void>) =>
    Object.defineProperty(globalThis, 'navigator', {
      value: { clipboard: { writeText } },
      configurable: true,
    });
  const opened: string[] = [];
  const table = (more: Partial<Parameters<typeof Table<(typeof rows)[number]>>[0]> = {}) =>
    show(
      <Table
        {...more}
        name="Jobs"
        columns={columns}
        rows={rows}
        keyOf={(r) => r.id}
        labelOf={(r) => r.name}
        testIdOf={(r) => `row-${r.id}`}
        selected="b"
        onOpen={(r) => opened.push(r.id)}
      />,
    );
  const order = () => screen.getAllByTestId(/^row-/).map((r) => String(r.props.testID).slice(4));

  test('shows the given order, sorts by a column, and reverses on the second touch', () => {
    table();
    expect(order()).toEqual(['a', 'b', 'c']);
    fireEvent.press(screen.getByTestId('sort-hours'));
    expect(order()).toEqual(['b', 'a', 'c']);
    fireEvent.press(screen.getByTestId('sort-hours'));
    expect(order()).toEqual(['c', 'a', 'b']);
    fireEvent.press(screen.getByTestId('sort-name'));
    // Nine comes before ten.
    expect(order()).toEqual(['c', 'b', 'a']);
  });

  test('leaves sorting to its caller if told so; a column without an order has no button', () => {
    const asked: unknown[] = [];
    table({
      columns: [
        ...columns,
        { key: 'next', title: 'Next', share: 1, text: () => '', unsorted: true },
      ],
      sortedBy: { sorted: { key: 'hours', down: false }, onSort: (by) => asked.push(by) },
    });
    fireEvent.press(screen.getByTestId('sort-hours'));
    fireEvent.press(screen.getByTestId('sort-name'));
    expect(asked).toEqual([
      { key: 'hours', down: true },
      { key: 'name', down: false },
    ]);
    expect(order()).toEqual(['a', 'b', 'c']);
    expect(screen.queryByTestId('sort-next')).toBeNull();
  });

  test('opens the touched row, and copies its rows as sorted', async () => {
    const copied: string[] = [];
    clipboard(async (text) => void copied.push(text));
    table();
    fireEvent.press(screen.getByTestId('row-c'));
    expect(opened).toEqual(['c']);
    fireEvent.press(screen.getByTestId('sort-hours'));
    fireEvent.press(screen.getByTestId('table-copy'));
    expect(await screen.findByText('Copied')).toBeTruthy();
    expect(copied).toEqual(['Name\tHours\nPump 9\t4 h\nPump 10\t30 h\nBelt\t100 h']);
  });

  test('shows the text to select and copy where the clipboard is not allowed', async () => {
    clipboard(() => Promise.reject(new Error('closed')));
    table();
    fireEvent.press(screen.getByTestId('table-copy'));
    expect(await screen.findByText(/Pump 10 30 h/)).toBeTruthy();
  });
});

test('two surveys are compared field by field, in the words of the form', () => {
  const yours = { ...survey, readings: { ...survey.readings, surfaceC: 25 } };
  expect(surveyChanges(survey, yours)).toEqual([
    { path: 'readings.surfaceC', name: 'Surface', theirs: '20', yours: '25' },
  ]);
});

test.each([
  ['Try', undefined, 'Try'],
  ['Try', 'Try it at 20 °C', 'Try it at 20 °C'],
  ['Discard one', 'lot L-7', 'Discard one: lot L-7'],
])(
  'the accessible name of a “%s” button begins with that, then says which one',
  (label, hint, name) => {
    const presses: string[] = [];
    show(<SecondaryButton label={label} hint={hint} onPress={() => presses.push(name)} />);
    fireEvent.press(screen.getByLabelText(name));
    expect(presses).toEqual([name]);
  },
);

test('a drawing defines exactly the hatches that it uses', () => {
  const c = colours.light;
  const { UNSAFE_root } = show(<Hatches id="d" c={c} of={['bronze', 'wet', 'set']} />);
  const ids = UNSAFE_root.findAll((node) => typeof node.props.patternUnits === 'string').map(
    (node) => String(node.props.id),
  );
  expect([...new Set(ids)]).toEqual(['d-bronze', 'd-wet']);
  expect(['bronze', 'set', 'unknown'].map((fill) => fillOf(fill as 'set', 'd', c))).toEqual([
    'url(#d-bronze)',
    c.moss,
    'none',
  ]);
});
