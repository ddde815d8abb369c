import { Barlow_400Regular } from '@expo-google-fonts/barlow/400Regular';
import { Barlow_600SemiBold } from '@expo-google-fonts/barlow/600SemiBold';
import { BarlowSemiCondensed_600SemiBold } from '@expo-google-fonts/barlow-semi-condensed/600SemiBold';
import { planFile, type RepairView } from '@kelmot/contract';
import { drawSection, layersText, type Plan, type UnitSystem, t } from '@kelmot/core';
import type { Fonts, PaperSize } from '@kelmot/papers';
import { SECTION_BOX } from '@kelmot/papers/sectionBox';
import { Asset } from 'expo-asset';
import { useState } from 'react';
import { download } from '@/offline/download';
import { useAppSelector } from '@/store/hooks';
import { makePaper } from '@/offline/workers/makePaper';

async function bytesOf(font: number | string): Promise<Uint8Array> {
  const { uri } = Asset.fromModule(font);
  const answer = await fetch(uri);
  return new Uint8Array(await answer.arrayBuffer());
}

/** Loads the fonts for papers; they ship with the application. */
async function fontsOfPaper(): Promise<Fonts> {
  const [text, bold, label] = await Promise.all(
    [Barlow_400Regular, Barlow_600SemiBold, BarlowSemiCondensed_600SemiBold].map(bytesOf),
  );
  if (!text || !bold || !label) throw new Error(t('the fonts are not there'));
  return { text, bold, label };
}

/** The sections of a plan, each damage as it will be built. */
function plannedSections(plan: Plan, units: UnitSystem, box: { width: number; height: number }) {
  const { survey, card, figures } = plan;
  const coats = figures.coats?.value ?? 1;
  return survey.damages.map((damage) =>
    drawSection(survey.family, damage, {
      ...box,
      system: units,
      tag: survey.asset.tag,
      material: survey.parent.material,
      medium: null,
      layers: Array.from({ length: coats }, () => 'planned' as const),
      edgeMm: card.layer.minEdgeMm,
      label: layersText(plan),
      plan,
      dimensions: true,
      unknown: [],
    }),
  );
}

/** Makes the papers of a plan on the device, without signal: job card, picking list, timeline, plan file and record. */
export function usePapers(view: RepairView, plan: Plan) {
  const units = useAppSelector((s) => s.settings.units);
  const [making, setMaking] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const url = `${globalThis.location?.origin ?? ''}/repair/${view.id}/${view.station}`;
  const name = `${view.tag}-${plan.card.code}`.replace(/[^\w.-]+/g, '-');
  const number = view.plan?.number ?? 1;
  const make = async (id: string, work: () => Promise<void>) => {
    setMaking(id);
    setError(null);
    try {
      await work();
    } catch (problem) {
      setError(
        t('This paper could not be made: {message}', { message: (problem as Error).message }),
      );
    } finally {
      setMaking(null);
    }
  };
  const jobCard = (paper: PaperSize) =>
    make(paper, async () => {
      const sections = plannedSections(plan, units, SECTION_BOX);
      const fonts = await fontsOfPaper();
      const pdf = await makePaper((p) => p.jobCard({ plan, paper, fonts, sections, url, units }));
      download(`${name}-${paper}.pdf`, pdf, 'application/pdf');
    });
  const pickingList = () =>
    make('csv', async () => {
      download(`${name}-list.csv`, await makePaper((p) => p.pickingList(plan, units)), 'text/csv');
    });
  const calendar = () =>
    make('ics', async () => {
      const ics = await makePaper((p) => p.calendarOf({ plan, repairId: view.id, url, number }));
      download(`${name}.ics`, ics, 'text/calendar');
    });
  const record = () =>
    make('record', async () => {
      const fonts = await fontsOfPaper();
      const asked = { view, plan, paper: 'a4' as const, fonts, url, units };
      download(
        `${name}-record.pdf`,
        await makePaper((p) => p.recordPaper(asked)),
        'application/pdf',
      );
    });
  const recordList = () =>
    make('record-csv', async () => {
      download(`${name}-record.csv`, await makePaper((p) => p.recordList(view, units)), 'text/csv');
    });
  const recordWhole = () =>
    make('record-json', () => {
      download(`${name}-record.json`, JSON.stringify(view, null, 2), 'application/json');
      return Promise.resolve();
    });
  const whole = () =>
    make('json', () => {
      download(`${name}.json`, JSON.stringify(planFile(plan), null, 2), 'application/json');
      return Promise.resolve();
    });
  return {
    making,
    error,
    jobCard,
    pickingList,
    calendar,
    whole,
    record,
    recordList,
    recordWhole,
  };
}
