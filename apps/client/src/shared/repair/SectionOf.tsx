import type { RepairView } from '@kelmot/contract';
import { dayClockText, t } from '@kelmot/core';
import { useAppSelector } from '@/store/hooks';
import { SectionView } from '@/shared/ui/SectionView';
import { useZone } from '@/shared/ui/useZone';
import { sectionOf } from './sectionOf';

/** The section of a repair in its present state, with the time when it must be back in service. */
export function SectionOf({
  view,
  size,
  now,
  dimensions,
}: {
  view: RepairView;
  size: { width: number; height: number };
  now: number;
  dimensions?: boolean;
}) {
  const zone = useZone();
  const units = useAppSelector((s) => s.settings.units);
  const drawing = sectionOf(view, { now, units, size, dimensions });
  return drawing ? (
    <SectionView
      drawing={drawing}
      extra={[{ key: t('back by'), value: dayClockText(Date.parse(view.backBy), now, zone) }]}
    />
  ) : null;
}
