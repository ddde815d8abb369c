import { judgeCure, logOf, type CureValues, type RepairView } from '@kelmot/contract';
import { MINUTE, type Plan, t } from '@kelmot/core';
import { instrument, type Sample } from '@kelmot/core/instruments/instrument';
import type { InstrumentState } from '@kelmot/core/instruments/instrumentState';
import { judgeSamples } from '@kelmot/core/instruments/judgeSamples';
import { readLog } from '@kelmot/papers/readLog';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import {
  InstrumentBox,
  OpenInstrument,
  LiveFigure,
  LiveState,
  useDriver,
} from '@/features/instruments';
import { chosenFile, TABLES } from '@/offline/chosenFile';
import { siteTime } from '@/store/clock';
import { useAppSelector } from '@/store/hooks';
import { SecondaryButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';
import { useZone } from '@/shared/ui/useZone';
import { FieldError } from '@/shared/ui/fields';

const logger = instrument('logger');

/** What recording a log needs. */
interface LogProps {
  /** When the repair was mixed, epoch ms. */
  mixedAt: number;
  record: (values: CureValues) => void;
}

/** The last moment that a logger has already recorded, epoch ms. */
function loggedUntil({ readings }: RepairView): number {
  const ends = readings.flatMap(({ values: v }) =>
    v.kind === 'temperatures' && v.instrument !== undefined
      ? [Date.parse(v.from) + (v.rows.at(-1)?.atMin ?? 0) * MINUTE]
      : [],
  );
  return Math.max(-Infinity, ...ends);
}

interface Found {
  samples: Sample[];
  seen: InstrumentState;
}

/** Reads what a logger stored since mixing, checks it for faults, and records the new part. */
export function LoggerImport({
  view,
  plannedC,
  mixedAt,
  record,
}: LogProps & { view: RepairView; plannedC: number }) {
  const expected = useCallback(() => logger.channels.map(() => plannedC), [plannedC]);
  const driver = useDriver('logger', expected);
  const clock = useAppSelector((s) => s.clock);
  const [found, setFound] = useState<Found | null>(null);
  const [failed, setFailed] = useState(false);
  if (!driver) return null;
  const name = `${logger.name}, ${driver.name}`;
  const read = async () => {
    const samples: Sample[] = [];
    setFailed(false);
    try {
      // The logger's times are by the device's clock; the record uses the site's clock.
      const hear = (s: Sample) => samples.push({ ...s, at: s.at - clock.aheadMs });
      (await driver.open(logger, hear, mixedAt + clock.aheadMs)).close();
      const now = siteTime(clock);
      setFound({
        samples,
        seen: judgeSamples(logger, { samples, now, expects: expected(), since: now }),
      });
    } catch {
      setFailed(true);
    }
  };
  if (!found)
    return (
      <OpenInstrument
        id={logger.id}
        label={t('Read from: {name}', { name: logger.name })}
        failed={failed}
        open={() => void read()}
      />
    );
  const { seen, samples } = found;
  const until = loggedUntil(view);
  const fresh = samples.filter(({ at }) => at > until);
  const values = seen.state === 'steady' ? logOf(fresh, name) : null;
  const done = () => {
    if (values) record(values);
    setFound(null);
  };
  return (
    <InstrumentBox
      name={name}
      close={() => setFound(null)}
      takeLabel={
        fresh.length === 0
          ? t('No new readings since the last download')
          : t('Record {fresh} readings', { fresh: fresh.length })
      }
      take={values ? done : null}
    >
      <View className="flex-row flex-wrap gap-3">
        {logger.channels.map((channel, i) => (
          <LiveFigure key={channel.key} channel={channel} value={seen.values[i]} />
        ))}
      </View>
      <LiveState seen={seen} />
    </InstrumentBox>
  );
}

interface Chosen {
  name: string;
  values: CureValues;
  rows: number;
}

/** Takes a log saved as CSV: shows its content first, or the row with the error. */
export function LogFileImport({ plan, mixedAt, record }: LogProps & { plan: Plan }) {
  const { units, tell } = useWords();
  const zone = useZone();
  const clock = useAppSelector((s) => s.clock);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const choose = async () => {
    const file = await chosenFile(TABLES);
    if (!file) return;
    const read = readLog(await file.text(), { zone, units, mixedAt, now: siteTime(clock) });
    setWrong(read.ok ? null : read.say);
    setChosen(read.ok ? { name: file.name, values: read.values, rows: read.rows } : null);
  };
  if (!chosen)
    return (
      <View className="gap-1">
        <SecondaryButton
          label={t('Import a log from a file (CSV)')}
          testID="log-file"
          onPress={() => void choose()}
        />
        <FieldError error={wrong} testID="log-wrong" />
      </View>
    );
  return (
    <InstrumentBox
      name={chosen.name}
      close={() => setChosen(null)}
      takeLabel={t('Record {rows} readings', { rows: chosen.rows })}
      take={() => {
        record(chosen.values);
        setChosen(null);
      }}
    >
      <Txt as="inline">{tell(judgeCure(chosen.values, plan).say)}</Txt>
    </InstrumentBox>
  );
}
