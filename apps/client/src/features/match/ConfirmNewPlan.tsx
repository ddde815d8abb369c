import { t } from '@kelmot/core';
import { validRecords, type LastPlan } from '@kelmot/contract';
import type { Plan } from '@kelmot/core';
import { View } from 'react-native';
import { PrimaryButton, SecondaryButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';

/** Before another plan is taken: which records stay, which do not, and why. */
export function ConfirmNewPlan({
  last,
  next,
  code,
  onTake,
  onStay,
}: {
  last: LastPlan;
  /** The plan that would be made; null where only the server can make it. */
  next: Plan | null;
  code: string;
  onTake: () => void;
  onStay: () => void;
}) {
  const { tell } = useWords();
  const carried = next && validRecords(last, next);
  const stays = carried ? carried.checks.length + carried.readings.length : 0;
  return (
    <View role="alertdialog" aria-label={t('A new plan')} testID="take-anew" className="gap-3">
      <Txt as="row">{t('Work has begun with {code}.', { code: last.body.card.code })}</Txt>
      {carried ? (
        <Txt>
          {t(
            '{stays, plural, =0 {No records stay} one {# recorded stays} other {# recorded stay}} with the new plan.',
            { stays },
          )}
        </Txt>
      ) : (
        <Txt>{t('Records stay if the new plan has the same step.')}</Txt>
      )}
      {carried && carried.left.length > 0 ? (
        <View className="gap-1" testID="take-anew-left">
          <Txt as="label">
            {t('These records do not fit the new plan. They stay with plan {number}:', {
              number: last.number,
            })}
          </Txt>
          {carried.left.map(({ title, why }, i) => (
            <Txt key={i}>
              <Txt as="strong">{tell(title)}.</Txt> {tell(why)}
            </Txt>
          ))}
        </View>
      ) : null}
      <SecondaryButton label={t('Keep the present plan')} testID="stay" onPress={onStay} />
      <PrimaryButton
        label={t('Use {code} anyway', { code })}
        testID="take-anew-go"
        onPress={onTake}
      />
    </View>
  );
}
