import { configureStore } from '@reduxjs/toolkit';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState, type ReactElement } from 'react';
import { Provider } from 'react-redux';
import { familyOf, type Figure, type QuantityField } from '@kelmot/core';
import { settingsReducer } from '@/store/settings';
import { viewReducer } from '@/store/view';
import { PrimaryButton } from '@/ui/Button';
import { FieldBox } from '@/ui/fields';
import { FigureText } from '@/ui/FigureText';
import { LimitRule } from '@/ui/LimitRule';
import { WorkingSheet } from '@/ui/Working';
import { surveyChanges } from '@/features/repair/surveyChanges';
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

test('a touched figure shows its sum, its source and what would change it', () => {
  show(
    <>
      <FigureText figure={figure} label="to mix" />
      <WorkingSheet namePath={(p) => (p.endsWith('depthMm') ? 'Greatest depth' : p)} />
    </>,
  );
  expect(screen.queryByText('to mix in all')).toBeNull();
  fireEvent.press(screen.getByLabelText('to mix: 381 ml. Show working'));
  expect(screen.getByText('320 + 61.2')).toBeTruthy();
  expect(screen.getByText('Greatest depth')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Close working'));
  expect(screen.queryByText('320 + 61.2')).toBeNull();
});

test('a number field steps by its step, keeps what is typed, and tells what is wrong', () => {
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

test('a closed action cannot be pressed and says so', () => {
  const press = jest.fn();
  show(<PrimaryButton label="Start batch 2" disabled onPress={press} />);
  fireEvent.press(screen.getByLabelText('Start batch 2'));
  expect(press).not.toHaveBeenCalled();
});

test('a limit rule reads as figure and limit', () => {
  show(
    <LimitRule
      name="Wet heat"
      verdict="no"
      against={{ value: 62, limit: 55, quantity: 'temperature', sense: 'max' }}
    />,
  );
  expect(screen.getByLabelText('Wet heat 62 °C, most 55 °C. Show working')).toBeTruthy();
});

test('two surveys are told apart field by field, in the words of the form', () => {
  const yours = { ...survey, readings: { ...survey.readings, surfaceC: 25 } };
  expect(surveyChanges(survey, yours)).toEqual([
    { path: 'readings.surfaceC', name: 'Surface', theirs: '20', yours: '25' },
  ]);
});
