import {
  formatQuantity,
  shownUnit,
  type ChoiceField,
  type Field,
  type QuantityField,
  type WhenField,
  t,
} from '@kelmot/core';
import { createContext, useContext, useId, useState, type ReactNode } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { tabIndexAt } from './keyboard';
import { useTheme } from './theme';
import { Txt } from './Txt';

interface Bound {
  text: string;
  onText: (text: string) => void;
  error?: string;
  id: string;
}

/** The id of the error text for the fields in a frame; undefined while there is no error. */
const WrongAt = createContext<string | undefined>(undefined);

/** An error, shown at the field or control that it is about. */
export function FieldError({
  error,
  id,
  testID,
}: {
  error: string | null | undefined;
  id?: string;
  testID?: string;
}) {
  if (!error) return null;
  return (
    <View role="alert" nativeID={id} testID={testID}>
      <Txt as="inline" className="text-oxideInk">
        {error}
      </Txt>
    </View>
  );
}

/** A label, the reason for the question, the control, and the error below it; the typed text stays. */
export function FieldFrame({
  label,
  why,
  error,
  children,
}: {
  label: string;
  why?: string;
  error?: string;
  children: ReactNode;
}) {
  const id = useId();
  return (
    <View className="gap-1.5">
      {label || why ? (
        <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
          <Txt as="inline">{label}</Txt>
          {why ? <Txt as="label">{why}</Txt> : null}
        </View>
      ) : null}
      <WrongAt.Provider value={error ? id : undefined}>{children}</WrongAt.Provider>
      <FieldError error={error} id={id} />
    </View>
  );
}

/** Default limit of characters in a line. */
const MOST_TYPED = 200;

/** A line of text; text above the limit is cut, with a notice. */
export function TextBox({
  text,
  onText,
  label,
  id,
  unit,
  numeric = false,
  digits = false,
  focused = false,
  large = false,
  placeholder,
  multiline = false,
  secret = false,
  most = MOST_TYPED,
  onSubmit,
}: Omit<Bound, 'error'> & {
  label: string;
  unit?: string;
  numeric?: boolean;
  /** Digits only, without point or unit. */
  digits?: boolean;
  /** Focused as soon as it appears. */
  focused?: boolean;
  large?: boolean;
  placeholder?: string;
  multiline?: boolean;
  secret?: boolean;
  /** Most characters that are accepted. */
  most?: number;
  onSubmit?: () => void;
}) {
  const { c } = useTheme();
  const wrongAt = useContext(WrongAt);
  const [isCut, setCut] = useState(false);
  const take = (typed: string) => {
    setCut(typed.length > most);
    onText(typed.slice(0, most));
  };
  return (
    <View className="gap-1">
      <View
        className={`flex-row items-center rounded border-[1.5px] bg-sheet ${wrongAt ? 'border-oxide' : 'border-ink'}`}
      >
        <TextInput
          value={text}
          onChangeText={take}
          aria-label={unit ? `${label}, ${unit}` : label}
          aria-invalid={wrongAt !== undefined}
          aria-describedby={wrongAt}
          testID={id}
          nativeID={id}
          placeholder={placeholder}
          placeholderTextColor={c.pencil}
          inputMode={digits ? 'numeric' : numeric ? 'decimal' : undefined}
          autoFocus={focused}
          autoCapitalize="none"
          autoCorrect={false}
          multiline={multiline}
          secureTextEntry={secret}
          onSubmitEditing={onSubmit}
          className={`min-h-[48px] min-w-0 flex-1 px-3 text-ink ${multiline ? 'py-3' : ''} ${large ? 'font-clock text-key tracking-[-0.05em]' : 'font-name text-row'}`}
        />
        {unit ? (
          <Txt as="inline" className="pr-3 text-pencil">
            {unit}
          </Txt>
        ) : null}
      </View>
      {isCut ? (
        <Txt as="label" role="status" className="text-ochreInk" testID={`${id}-cut`}>
          {t('{most} characters at most. The rest was cut off.', { most })}
        </Txt>
      ) : null}
    </View>
  );
}

/** Quick presses each count. */
const RAPID = { dataSet: { rapid: 'true' } };

function Step({ sign, label, onPress }: { sign: string; label: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      {...RAPID}
      onPress={onPress}
      className="h-[51px] w-12 items-center justify-center rounded border-[1.5px] border-ink bg-sheet active:bg-shade"
    >
      <Txt as="row">{sign}</Txt>
    </Pressable>
  );
}

function QuantityBox({
  field,
  text,
  onText,
  id,
}: Omit<Bound, 'error'> & { field: QuantityField | WhenField }) {
  const units = useAppSelector((s) => s.settings.units);
  const unit = shownUnit(field.quantity, units).symbol;
  const typed = /^[-−\d.,\s]*$/.test(text);
  const nudge = (by: number) => {
    const now = Number(text.replace(',', '.').replace('−', '-'));
    const start = Number.isFinite(now) ? now : field.min;
    const next = Math.round((start + by) * 1000) / 1000;
    onText(String(next));
  };
  return (
    <View className="flex-row gap-2">
      <View className="flex-1">
        <TextBox
          label={field.label}
          text={text}
          onText={onText}
          id={id}
          unit={typed ? unit : undefined}
          numeric
          placeholder={field.quantity === 'time' ? t('20 h') : undefined}
        />
      </View>
      {typed && units === 'metric' ? (
        <>
          <Step
            sign="−"
            label={t('{label}: less by {step}', {
              label: field.label,
              step: formatQuantity(field.step, field.quantity),
            })}
            onPress={() => nudge(-field.step)}
          />
          <Step
            sign="+"
            label={t('{label}: more by {step}', {
              label: field.label,
              step: formatQuantity(field.step, field.quantity),
            })}
            onPress={() => nudge(field.step)}
          />
        </>
      ) : null}
    </View>
  );
}

/** A choice of a few options, all visible: the chosen one is filled. */
export function Choices({
  options,
  value,
  onPick,
  label,
  id,
}: {
  options: { value: string; label: string }[];
  value: string;
  onPick: (value: string) => void;
  label: string;
  id: string;
}) {
  const wrongAt = useContext(WrongAt);
  const chosen = options.findIndex((o) => o.value === value);
  return (
    <View
      role="radiogroup"
      aria-label={label}
      aria-invalid={wrongAt !== undefined}
      aria-describedby={wrongAt}
      className="flex-row flex-wrap gap-2"
    >
      {options.map((o, i) => {
        const on = o.value === value;
        return (
          <Pressable
            key={o.value}
            role="radio"
            aria-checked={on}
            tabIndex={tabIndexAt(i, chosen)}
            testID={`${id}-${o.value}`}
            onPress={() => onPick(o.value)}
            className={`min-h-[48px] min-w-[48px] max-w-full items-center justify-center rounded border-[1.5px] px-3 ${on ? 'border-ink bg-ink' : 'border-pencil bg-sheet active:bg-shade'}`}
          >
            <Txt as="inline" className={on ? 'text-sheet' : ''}>
              {o.label}
            </Txt>
          </Pressable>
        );
      })}
    </View>
  );
}

function ChoiceBox({ field, text, onText, id }: Omit<Bound, 'error'> & { field: ChoiceField }) {
  return (
    <Choices options={field.options} value={text} onPick={onText} label={field.label} id={id} />
  );
}

/** A check box with its meaning beside it. */
export function CheckBox({
  label,
  name = label,
  why,
  on,
  onToggle,
  id,
}: {
  label: string;
  /** The accessible name, where the label alone is not enough. */
  name?: string;
  why?: string;
  on: boolean;
  onToggle: () => void;
  id: string;
}) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={name}
      testID={id}
      onPress={onToggle}
      className="min-h-[48px] flex-row items-center gap-3"
    >
      <View
        className={`h-7 w-7 items-center justify-center rounded border-[1.5px] border-ink ${on ? 'bg-ink' : 'bg-sheet'}`}
      >
        {on ? (
          <Txt as="inline" className="text-sheet">
            ✓
          </Txt>
        ) : null}
      </View>
      <View className="flex-1">
        <Txt as="inline">{label}</Txt>
        {why ? <Txt as="label">{why}</Txt> : null}
      </View>
    </Pressable>
  );
}

/** A survey field by its kind: a new family adds fields, not a screen. */
export function FieldBox({ field, error, ...bound }: Bound & { field: Field }) {
  if (field.kind === 'flag') {
    const on = bound.text === 'yes';
    return (
      <CheckBox
        label={field.label}
        why={field.why}
        on={on}
        onToggle={() => bound.onText(on ? 'no' : 'yes')}
        id={bound.id}
      />
    );
  }
  return (
    <FieldFrame label={field.label} why={field.why} error={error}>
      {field.kind === 'choice' ? (
        <ChoiceBox field={field} {...bound} />
      ) : (
        <QuantityBox field={field} {...bound} />
      )}
    </FieldFrame>
  );
}
