import type { Plan, StationId } from '@kelmot/core';
import { View } from 'react-native';
import { FigureText } from '@/ui/FigureText';

const MOST = 4;

/** The first figures that the steps of a station name: a family brings its own, and no screen knows which. */
export function KeyFigures({ plan, station }: { plan: Plan; station: StationId }) {
  const ids = plan.steps.filter((s) => s.station === station).flatMap((s) => s.figures);
  const figures = [...new Set(ids)]
    .flatMap((id) => (plan.figures[id] ? [plan.figures[id]] : []))
    // An edge or a bed of nothing tells nothing.
    .filter((f) => f.value !== 0)
    .slice(0, MOST);
  if (figures.length === 0) return null;
  return (
    <View className="flex-row flex-wrap gap-x-6 gap-y-2 border-b border-ink px-4 py-3">
      {figures.map((f) => (
        <FigureText key={f.id} figure={f} label={f.label.toLowerCase()} as="reading" />
      ))}
    </View>
  );
}
