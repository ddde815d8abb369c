import { families, type SurveyDraft } from '@kelmot/core';
import { plainDraft } from '@kelmot/demo';
import { render, screen } from '@testing-library/react-native';
import { Provider } from 'react-redux';
import { SurveyForm } from '@/features/survey/SurveyForm';
import { freshStore } from './opened';

jest.mock('@/store/api', () => ({
  ...jest.requireActual<object>('@/store/api'),
  useAssetsQuery: () => ({ data: [] }),
  useSiteQuery: () => ({ data: undefined }),
  useAirQuery: () => ({ data: null }),
}));
jest.mock('@/features/survey/useHiddenQuestions', () => ({ useHiddenQuestions: () => new Set() }));

const AT = '2026-11-25T08:00:00Z';
const withDamages = (family: string, count: number): SurveyDraft => {
  const shape = families().find((f) => f.id === family)?.shapes[0]?.shape ?? '';
  const shapes = Array.from({ length: count }, () => shape);
  return plainDraft({ family, shapes, startAt: AT, costPerHour: 100 });
};
const show = (draft: SurveyDraft) =>
  render(
    <Provider store={freshStore()}>
      <SurveyForm draftKey="new" draft={draft} errors={{}} fixedFamily />
    </Provider>,
  );

test.each(families().map((f) => [f.id, f.mostDamages] as const))(
  '%s: the form takes as many damages as its family, %i, and no more',
  (family, most) => {
    show(withDamages(family, most));
    expect(screen.queryByTestId('damage-add')).toBeNull();
    if (most === 1) return;
    show(withDamages(family, most - 1));
    expect(screen.getByTestId('damage-add')).toBeTruthy();
  },
);
