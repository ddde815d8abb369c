import { textsDropped, textTyped } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';

/** A text that is kept on the device under a key until it is recorded. */
export function useSavedText(key: string): [string, (text: string) => void, () => void] {
  const dispatch = useAppDispatch();
  const text = useAppSelector((s) => s.drafts.texts[key] ?? '');
  return [text, (t) => dispatch(textTyped({ key, text: t })), () => dispatch(textsDropped([key]))];
}
