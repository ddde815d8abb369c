import { View } from 'react-native';
import { FigureText } from '@/ui/FigureText';
import { Txt } from '@/ui/Txt';
import { Cautions } from './Cautions';
import { StepList } from './Steps';
import type { StationProps } from './StepsStation';

/** Prep: the key figures, the cautions, the numbered steps with their holds. */
export function Prep(props: StationProps) {
  const { plan } = props;
  return (
    <View>
      <View className="flex-row flex-wrap gap-x-6 gap-y-2 border-b border-ink px-4 py-3">
        <FigureText figure={plan.figures.area} label="bonded area" as="reading" />
        <FigureText figure={plan.figures.profile} label="least profile" as="reading" />
        <FigureText figure={plan.figures.minEdge} label="edge, least" as="reading" />
      </View>
      {plan.conditions.length > 0 ? (
        <View className="border-b border-rule px-4 py-3" role="note">
          <Txt as="inline" className="text-ochreInk">
            {plan.card.code} fits if {plan.conditions.join('; ')}.
          </Txt>
        </View>
      ) : null}
      <Cautions plan={plan} />
      <StepList station="prep" {...props} />
    </View>
  );
}
