import {
  atItsLimit,
  marginPct,
  previewFigures,
  tightestOf,
  VERDICT_NAMES,
  type Judged,
  type Message,
  type Relax,
  type Scored,
  type CardMatch,
  type Figure,
  type SystemCard,
  type Verdict,
  t,
} from '@kelmot/core';
import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Disclosure } from '@/shared/ui/Button';
import { CheckBox } from '@/shared/ui/fields';
import { FigureText } from '@/shared/ui/FigureText';
import { LimitRule } from '@/shared/ui/LimitRule';
import { VerdictMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';

const INK = { fits: 'text-mossInk', if: 'text-ochreInk', no: 'text-oxideInk' } as const;

/** A card that fits shows only its tightest figures; the rest are under All reasons. */
const MOST_SHOWN = 5;

/** The rules to show: those that decide, and for a card that fits the tightest measured ones. */
function deciding({ match }: Scored): Judged[] {
  const { judged, verdict } = match;
  if (verdict === 'fits') {
    const measured = judged.flatMap((j) =>
      j.against && j.against.quantity !== 'count' ? [{ j, margin: marginPct(j.against) }] : [],
    );
    return measured
      .sort((p, q) => p.margin - q.margin)
      .slice(0, MOST_SHOWN)
      .map(({ j }) => j);
  }
  return judged.filter((j) => j.verdict === verdict && j.against);
}

function decision(
  { match }: Scored,
  say: (message: Message) => string,
): { lead: string; rest: string } {
  const { verdict, judged } = match;
  const turned = judged.filter((j) => j.verdict === verdict);
  if (verdict === 'if')
    return {
      lead: t('Fits if '),
      rest: `${turned.flatMap((j) => (j.condition ? [say(j.condition)] : [])).join('; ')}.`,
    };
  if (verdict === 'no') {
    const [first] = turned;
    const relax = turned.length === 1 ? first?.relax?.say : undefined;
    return {
      lead: t('Does not fit. '),
      rest:
        turned.length > 1
          ? t('Stopped by: {rules}.', { rules: turned.map((j) => j.rule.name).join(', ') })
          : relax
            ? say(relax)
            : first
              ? say(first.because)
              : '',
    };
  }
  if (!atItsLimit(match)) return { lead: '', rest: '' };
  const tightest = tightestOf(match);
  return {
    lead: t('At its limit. '),
    rest: tightest === null ? t('No margin.') : t('{rule}: no margin.', { rule: tightest }),
  };
}

/** How it is built, if it needs more than one coat or batch. */
const built = ({ match }: Scored, sentence: (message: Message) => string): string =>
  match.verdict === 'no'
    ? ''
    : match.judged.flatMap((j) => (j.build ? [sentence(j.build)] : [])).join('; ');

interface MatchCardProps {
  scored: Scored;
  selected: boolean;
  /** The one card that the Tab key stops at. */
  stop: 0 | -1;
  onSelect: () => void;
  /** One line: why this card is first. */
  why: Message | null;
  onTry: (relax: Relax) => void;
  /** Adds it to the comparison; null when the comparison is full. */
  compared: boolean;
  onCompare: (() => void) | null;
}

/**
 * A judged card: verdict, deciding figures with limits, and what would change the verdict; on request every reason and
 * the score.
 */
export function MatchCard({
  scored,
  selected,
  stop,
  onSelect,
  why,
  onTry,
  compared,
  onCompare,
}: MatchCardProps) {
  const { match, parts, score } = scored;
  const { card, verdict } = match;
  const { units, say, tell } = useWords();
  const [open, setOpen] = useState(false);
  const figures = useMemo(() => previewFigures(match, units), [match, units]);
  const { lead, rest } = decision(scored, verdict === 'if' ? say : tell);
  const how = built(scored, say);
  const turnable = match.judged.filter((j) => j.verdict !== 'fits' && j.relax);
  return (
    <View
      testID={`match-${card.code}`}
      className={`border-b border-rule ${selected ? 'border-l-[5px] border-l-moss bg-sheet' : 'pl-[5px]'}`}
    >
      <CardHead selected={selected} verdict={verdict} stop={stop} onSelect={onSelect} card={card} />
      <View className="gap-1 px-4">
        <WhatDecides verdict={verdict} scored={scored} figures={figures} lead={lead} rest={rest} />
        <View className="flex-row flex-wrap gap-x-4">
          {parts
            .filter((p) => p.value !== null && figures[p.id])
            .map((p) => (
              <FigureText key={p.id} figure={figures[p.id]} label={p.name} />
            ))}
        </View>
        {how ? <Txt>{t('It is {how}.', { how })}</Txt> : null}
        {why ? <Txt as="inline">{t('First: {why}.', { why: say(why) })}</Txt> : null}
        {onCompare || compared ? (
          <CheckBox
            id={`compare-${card.code}`}
            label={t('Compare')}
            name={t('Compare {code}', { code: card.code })}
            on={compared}
            onToggle={() => onCompare?.()}
          />
        ) : null}
      </View>
      <View className="px-4">
        <Disclosure
          label={turnable.length ? t('All reasons, and what would change it') : t('All reasons')}
          open={open}
          onToggle={() => setOpen(!open)}
        >
          <AllReasons match={match} tell={tell} card={card} onTry={onTry} />
          <Txt as="label">
            {t('Order: {score} = {parts}', {
              score: score.toFixed(2),
              parts: parts
                .filter((p) => p.weight > 0)
                .map((p) => `${p.name} ${p.score.toFixed(2)} × ${p.weight}`)
                .join(' + '),
            })}
          </Txt>
        </Disclosure>
      </View>
    </View>
  );
}

function AllReasons({
  match,
  tell,
  card,
  onTry,
}: {
  match: CardMatch;
  tell: (message: Message) => string;
  card: SystemCard;
  onTry: (relax: Relax) => void;
}) {
  return (
    <>
      {match.judged.map((j) => (
        <View key={j.rule.id} className="gap-1">
          <View className="flex-row items-baseline gap-2">
            <Txt as="inline" className={`w-20 ${INK[j.verdict]}`}>
              {VERDICT_NAMES[j.verdict]}
            </Txt>
            <Txt className="min-w-0 flex-1">
              <Txt as="strong">{j.rule.question} </Txt>
              {tell(j.because)}
            </Txt>
          </View>
          {j.relax && j.verdict !== 'fits' ? (
            <Pressable
              role="button"
              aria-label={t('Try: {change}', { change: tell(j.relax.say) })}
              testID={`try-${card.code}-${j.rule.id}`}
              onPress={() => j.relax && onTry(j.relax)}
              className="min-h-[48px] justify-center self-start pl-[88px]"
            >
              <Txt as="inline" className="border-b-[1.5px] border-dotted border-teal">
                {t('{change} Try', { change: tell(j.relax.say) })}
              </Txt>
            </Pressable>
          ) : null}
        </View>
      ))}
    </>
  );
}

function WhatDecides({
  verdict,
  scored,
  figures,
  lead,
  rest,
}: {
  verdict: Verdict;
  scored: Scored;
  figures: Record<string, Figure>;
  lead: string;
  rest: string;
}) {
  return (
    <View className={verdict === 'fits' ? '' : 'pl-10'}>
      {deciding(scored).map((j) =>
        j.against ? (
          <LimitRule
            key={j.rule.id}
            name={j.rule.name}
            against={j.against}
            verdict={j.verdict}
            figure={figures[`rule.${j.rule.id}`]}
          />
        ) : null,
      )}
      {lead ? (
        <Txt>
          <Txt as="strong" className={INK[verdict]}>
            {lead}
          </Txt>
          {rest}
        </Txt>
      ) : null}
    </View>
  );
}

function CardHead({
  selected,
  verdict,
  stop,
  onSelect,
  card,
}: {
  selected: boolean;
  verdict: Verdict;
  stop: 0 | -1;
  onSelect: () => void;
  card: SystemCard;
}) {
  return (
    <Pressable
      role="radio"
      aria-checked={selected}
      disabled={verdict === 'no'}
      tabIndex={verdict === 'no' ? -1 : stop}
      onPress={onSelect}
      testID={`pick-${card.code}`}
      className="min-h-[48px] justify-center px-4 pt-3"
    >
      <View className="flex-row items-center gap-3">
        <VerdictMark verdict={verdict} />
        <Txt as={selected ? 'rowBold' : 'row'} className="min-w-0 flex-1" numberOfLines={2}>
          {card.code} {card.name}
        </Txt>
        <Txt as="row" className={INK[verdict]}>
          {verdict === 'fits' ? VERDICT_NAMES.fits : ''}
        </Txt>
      </View>
    </Pressable>
  );
}
