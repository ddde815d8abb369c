import { t } from '@kelmot/core';
import type { RepairView } from '@kelmot/contract';
import type { Step } from '@kelmot/core';
import { useState } from 'react';
import { Image, View } from 'react-native';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { LinkButton } from '@/shared/ui/Button';
import { useWords } from '@/shared/ui/useWords';
import { PictureMarker } from './PictureMarker';

interface PicturesProps {
  step: Step;
  view: RepairView;
  repair: OpenRepair;
}

/** The pictures of a step, with those in the outbox; a touch opens one to draw on. */
export function Pictures({ step, view, repair }: PicturesProps) {
  const { tell } = useWords();
  const [drawnOn, setDrawnOn] = useState<{ uri: string; label: string } | null>(null);
  if (step.hold?.kind !== 'photo') return null;
  const waiting = new Map(
    repair.waiting.flatMap(({ command }) =>
      command.type === 'photo.add'
        ? [[command.id, `data:${command.mime};base64,${command.data}`] as const]
        : [],
    ),
  );
  const pictures = view.readings.flatMap((r) =>
    r.stepId === step.id && r.values.kind === 'photo' ? [r.values.photoId] : [],
  );
  const label = tell(step.hold.label);
  return (
    <View className="flex-row flex-wrap gap-3">
      {pictures.map((id, i) => {
        const uri = waiting.get(id) ?? `/api/photos/${id}`;
        const named = t('{label}, picture {no}', { label, no: i + 1 });
        return (
          <View key={id}>
            <Image
              source={{ uri }}
              accessibilityLabel={named}
              className="h-24 w-32 border border-ink"
              resizeMode="cover"
            />
            {repair.canWrite ? (
              <LinkButton
                label={t('Draw')}
                hint={t('Draw on: {named}', { named })}
                testID={`draw-${i + 1}`}
                onPress={() => setDrawnOn({ uri, label: named })}
              />
            ) : null}
          </View>
        );
      })}
      {drawnOn ? (
        <PictureMarker
          {...drawnOn}
          close={() => setDrawnOn(null)}
          keep={(data) =>
            repair.send({ type: 'photo.add', stepId: step.id, mime: 'image/jpeg', data })
          }
        />
      ) : null}
    </View>
  );
}
