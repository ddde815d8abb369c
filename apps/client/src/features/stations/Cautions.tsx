import { t } from '@kelmot/core';
import type { Plan } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Disclosure } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';

/** The cautions of this plan: the first one visible, the others on touch. Local rules come first. */
export function Cautions({ plan }: { plan: Plan }) {
  const [open, setOpen] = useState(false);
  return (
    <View className="border-b border-rule px-4 py-1" role="note" aria-label={t('Cautions')}>
      <Disclosure
        label={t('Cautions, {count}', { count: plan.cautions.length })}
        open={open}
        onToggle={() => setOpen(!open)}
      >
        {plan.cautions.map((c) => (
          <Txt key={c.id}>{c.text}</Txt>
        ))}
        <Txt as="label">
          {t('Wear: {gear}.', {
            gear: (plan.gear.length > 0 ? plan.gear : plan.card.ppe).join(', '),
          })}
        </Txt>
        {plan.approvers.map((who) => (
          <Txt as="strong" key={who}>
            {t('{who} must approve.', { who })}
          </Txt>
        ))}
        <Txt as="label">
          {t('Your site’s rules and the law come first; Kelmot does not replace them.')}
        </Txt>
      </Disclosure>
    </View>
  );
}
