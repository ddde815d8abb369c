import type { Driver, Instrument, Link, Sample } from '@kelmot/core/instruments/instrument';
import type { InstrumentState } from '@kelmot/core/instruments/instrumentState';
import { judgeSamples } from '@kelmot/core/instruments/judgeSamples';
import { useCallback, useEffect, useRef, useState } from 'react';

/** The number of samples that are kept, and of readings that one record takes. */
const MOST_SAMPLES = 100;
/** Interval between checks while the instrument sends nothing, ms. */
const LOOK_MS = 500;

export interface Reading {
  /** Null while it is closed. */
  seen: InstrumentState | null;
  /** It could not be opened. */
  failed: boolean;
  open: () => void;
  close: () => void;
  /** Sets a scale to zero and starts again with new samples. */
  tare: () => void;
}

interface Heard {
  samples: Sample[];
  since: number;
  now: number;
}

/** An instrument that is opened by touch, read and watched until it is closed or the screen is left. */
export function useInstrument(
  device: Instrument,
  driver: Driver,
  expects: readonly (number | null)[],
): Reading {
  const [heard, setHeard] = useState<Heard | null>(null);
  const [failed, setFailed] = useState(false);
  const link = useRef<Link | null>(null);
  /** The number of the current opening: samples of an earlier one are ignored. */
  const turn = useRef(0);
  const close = useCallback(() => {
    turn.current += 1;
    link.current?.close();
    link.current = null;
    setHeard(null);
  }, []);
  useEffect(() => close, [close]);
  const isOpen = heard !== null;
  useEffect(() => {
    if (!isOpen) return;
    const timer = setInterval(
      () => setHeard((h) => h && { ...h, now: Math.max(h.now, Date.now()) }),
      LOOK_MS,
    );
    return () => clearInterval(timer);
  }, [isOpen]);
  const begin = () => setHeard({ samples: [], since: Date.now(), now: Date.now() });
  const open = () => {
    close();
    setFailed(false);
    begin();
    const mine = turn.current;
    const hear = (sample: Sample) => {
      if (turn.current !== mine) return;
      setHeard(
        (h) =>
          h && {
            ...h,
            samples: [...h.samples, sample].slice(-MOST_SAMPLES),
            now: Math.max(h.now, sample.at),
          },
      );
    };
    driver
      .open(device, hear)
      .then((opened) => {
        if (turn.current === mine) link.current = opened;
        else opened.close();
      })
      .catch(() => {
        if (turn.current !== mine) return;
        close();
        setFailed(true);
      });
  };
  const tare = () => {
    link.current?.tare?.();
    begin();
  };
  const seen =
    heard &&
    judgeSamples(device, { samples: heard.samples, now: heard.now, expects, since: heard.since });
  return { seen, failed, open, close, tare };
}
