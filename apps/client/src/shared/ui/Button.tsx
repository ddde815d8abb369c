import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useTheme } from './theme';
import { Txt } from './Txt';

interface ButtonProps {
  label: string;
  onPress: () => void;
  disabled?: boolean;
  hint?: string;
  testID?: string;
}

/**
 * The accessible name begins with the visible text, then says which one it is: voice control users say what they see.
 */
const nameOf = (label: string, hint: string | undefined): string =>
  hint === undefined ? label : hint.startsWith(label) ? hint : `${label}: ${hint}`;

const SIGNS = { next: 'M2 8h18M14 2l6 6-6 6', tick: 'M2 9l6 6L20 2', none: '' };

/** The one main action of a screen: its label says the result. An arrow goes on, a tick confirms. */
export function PrimaryButton({
  label,
  onPress,
  disabled = false,
  sign = 'next',
  keyHint,
  testID,
}: ButtonProps & { sign?: keyof typeof SIGNS; keyHint?: string }) {
  const { c } = useTheme();
  return (
    <Pressable
      role="button"
      aria-label={keyHint ? undefined : label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      className={`min-h-[56px] flex-row items-center justify-between gap-3 rounded px-4 ${disabled ? 'border-[1.5px] border-dashed border-pencil bg-paper' : 'bg-teal active:opacity-80'}`}
    >
      <Txt as="row" className={`flex-1 ${disabled ? 'text-pencil' : 'text-onTeal'}`}>
        {label}
      </Txt>
      {keyHint ? (
        <KeyHint keyName={keyHint} onTeal={!disabled} />
      ) : (
        <Svg width={22} height={18} viewBox="0 0 22 17" aria-hidden>
          <Path
            d={SIGNS[sign]}
            stroke={disabled ? c.pencil : c.onTeal}
            strokeWidth={2.2}
            fill="none"
          />
        </Svg>
      )}
    </Pressable>
  );
}

/** The keyboard key that does the same, shown on wide screens. */
export function KeyHint({ keyName, onTeal = false }: { keyName: string; onTeal?: boolean }) {
  return (
    <View
      className={`min-w-[24px] items-center rounded border-[1.25px] px-1.5 ${onTeal ? 'border-onTeal' : 'border-pencil'}`}
      aria-hidden
    >
      <Txt as="label" className={onTeal ? 'text-onTeal' : ''}>
        {keyName}
      </Txt>
    </View>
  );
}

/** Any other action: framed, with a centred label. `remove` names the thing to remove and has a red frame. */
export function SecondaryButton({
  label,
  onPress,
  disabled = false,
  tone = 'ink',
  hint,
  testID,
}: ButtonProps & { tone?: 'ink' | 'remove' }) {
  const edge = tone === 'remove' ? 'border-oxide' : 'border-ink';
  return (
    <Pressable
      role="button"
      aria-label={nameOf(label, hint)}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      className={`min-h-[48px] items-center justify-center rounded border-[1.5px] bg-sheet px-4 active:bg-shade ${disabled ? 'border-rule' : edge}`}
    >
      <Txt
        as="inline"
        className={`text-center ${tone === 'remove' ? 'text-oxideInk' : disabled ? 'text-pencil' : ''}`}
      >
        {label}
      </Txt>
    </Pressable>
  );
}

/** A quiet action in a line of text: opens or switches something. */
export function LinkButton({ label, onPress, hint, testID }: ButtonProps) {
  return (
    <Pressable
      role="button"
      aria-label={nameOf(label, hint)}
      onPress={onPress}
      testID={testID}
      className="min-h-[48px] min-w-[44px] justify-center"
    >
      <Txt as="inline" className="self-start border-b-[1.5px] border-dotted border-teal">
        {label}
      </Txt>
    </Pressable>
  );
}

/** The back button, at the left of a phone's title. */
export function BackArrow({ label, onPress }: { label: string; onPress: () => void }) {
  const { c } = useTheme();
  return (
    <Pressable
      role="link"
      aria-label={label}
      testID="back"
      onPress={onPress}
      className="h-12 w-12 items-center justify-center"
    >
      <Svg width={22} height={16}>
        <Path d="M22 8H3M9 2L3 8l6 6" stroke={c.ink} strokeWidth={2} fill="none" />
      </Svg>
    </Pressable>
  );
}

/** The tag of an asset, in a frame. */
export function Tag({ text }: { text: string }) {
  return (
    <View
      className="justify-center rounded border-[1.25px] border-ink bg-sheet px-2"
      style={{ minHeight: 24 }}
    >
      <Txt as="inline">{text}</Txt>
    </View>
  );
}

/** A line that opens and closes the content below it. */
export function Disclosure({
  label,
  open,
  onToggle,
  testID,
  children,
}: {
  label: string;
  open: boolean;
  testID?: string;
  onToggle: () => void;
  children: ReactNode;
}) {
  return (
    <View>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={label}
        testID={testID}
        onPress={onToggle}
        className="min-h-[48px] flex-row items-center gap-2"
      >
        <Txt as="inline" className="w-4 text-pencil">
          {open ? '−' : '+'}
        </Txt>
        <Txt as="inline" className="text-pencil">
          {label}
        </Txt>
      </Pressable>
      {open ? <View className="gap-2 pb-3 pl-6">{children}</View> : null}
    </View>
  );
}
