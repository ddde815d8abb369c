import { roundOfFigure, type Plan, type StationId } from '@kelmot/core';
import { View } from 'react-native';
import { FigureText } from '@/shared/ui/FigureText';
import { useWords } from '@/shared/ui/useWords';

const MOST = 4;

/** The first figures that the steps of a station name. The family provides them; no screen knows which. */
export function KeyFigures({ plan, station }: { plan: Plan; station: StationId }) {
  const { tell } = useWords();
  const ids = plan.steps.filter((s) => s.station === station).flatMap((s) => s.figures);
  const figures = [...new Set(ids)]
    .flatMap((id) => {
      const figure = plan.figures[id];
      const of = roundOfFigure(plan, id);
      return figure ? [{ figure, of: of ? `${tell(of.name)}: ` : '' }] : [];
    })
    // A figure of zero is left out.
    .filter(({ figure }) => figure.value !== 0)
    .slice(0, MOST);
  if (figures.length === 0) return null;
  return (
    <View className="flex-row flex-wrap gap-x-6 gap-y-2 border-b border-ink px-4 py-3">
      {figures.map(({ figure, of }) => (
        <FigureText key={figure.id} figure={figure} label={`${of}${figure.label}`} as="reading" />
      ))}
    </View>
  );
}
