import {
  optionOf,
  typedAt,
  unitOf,
  withoutRow,
  withRow,
  withTyped,
  type FormNode,
  type Typed,
  t,
} from '@kelmot/core';
import { View } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { SecondaryButton } from '@/shared/ui/Button';
import { CheckBox, Choices, FieldError, FieldFrame, TextBox } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';

interface Bound {
  typed: Typed;
  onTyped: (typed: Typed) => void;
  errors: ReadonlyMap<string, string>;
}
type Path = (string | number)[];
interface NodeProps extends Bound {
  node: FormNode;
  path: Path;
  /** Prefix of the label, where the same field is in several rows. */
  row?: string;
  /** The list already shows the label. */
  quiet?: boolean;
}

const idOf = (path: Path) => `tool-${path.join('.')}`;
const bare = (text: string) => /^[-−\d.,\s/]*$/.test(text);

/** One number or text in its box, with the unit of a bare number. */
function Box({
  node,
  path,
  typed,
  onTyped,
  errors,
  row,
  quiet = false,
}: NodeProps & { node: Extract<FormNode, { kind: 'number' | 'text' }> }) {
  const units = useAppSelector((s) => s.settings.units);
  const part = typedAt(typed, path);
  const text = typeof part === 'string' ? part : '';
  const error = errors.get(path.join('.'));
  const usual =
    node.optional && node.usual !== undefined
      ? t('usual {usual}', { usual: String(node.usual) })
      : node.optional
        ? t('may stay empty')
        : undefined;
  return (
    <FieldFrame label={quiet ? '' : node.label} why={row ? undefined : usual} error={error}>
      <TextBox
        id={idOf(path)}
        label={row ? `${row}, ${node.label}` : node.label}
        text={text}
        onText={(t) => onTyped(withTyped(typed, path, t))}
        unit={node.kind === 'number' && bare(text) ? unitOf(node, units) || undefined : undefined}
        numeric={node.kind === 'number'}
        placeholder={usual && node.usual !== undefined ? String(node.usual) : undefined}
      />
    </FieldFrame>
  );
}

/** Rows of a list: one line of boxes each, with add and remove. */
function Rows({ node, path, ...bound }: NodeProps & { node: Extract<FormNode, { kind: 'list' }> }) {
  const part = typedAt(bound.typed, path);
  const rows = Array.isArray(part) ? part : [];
  const fields = node.item.kind === 'group' ? node.item.nodes : [];
  const put = (list: Typed[]) => bound.onTyped(withTyped(bound.typed, path, list));
  const error = bound.errors.get(path.join('.'));
  return (
    <View className="gap-2" role="group" aria-label={node.label}>
      <Txt as="strong">{node.label}</Txt>
      {rows.map((_, i) => {
        const row = `${node.label} ${i + 1}`;
        return (
          <View key={i} className="flex-row flex-wrap items-end gap-2 border-b border-rule pb-3">
            {node.item.kind === 'group' ? (
              fields.map((f) => (
                <View key={f.key} className="min-w-[104px] flex-1">
                  <Node node={f} path={[...path, i, f.key]} row={row} {...bound} />
                </View>
              ))
            ) : (
              <View className="min-w-[104px] flex-1">
                <Node node={node.item} path={[...path, i]} row={row} quiet {...bound} />
              </View>
            )}
            {rows.length > 1 ? (
              <SecondaryButton
                label="−"
                hint={t('Remove {row}', { row })}
                testID={`${idOf([...path, i])}-remove`}
                onPress={() => put(withoutRow(rows, i))}
              />
            ) : null}
          </View>
        );
      })}
      <FieldError error={error} />
      <View className="self-start">
        <SecondaryButton
          label={t('Add a row')}
          testID={`${idOf(path)}-add`}
          onPress={() => put(withRow(node, rows))}
        />
      </View>
    </View>
  );
}

function Variant({
  node,
  path,
  ...bound
}: NodeProps & { node: Extract<FormNode, { kind: 'variant' }> }) {
  const option = optionOf(node, typedAt(bound.typed, path));
  return (
    <View className="gap-3 border-l-[3px] border-rule pl-3">
      <FieldFrame label={node.label}>
        <Choices
          id={idOf(path)}
          label={node.label}
          options={node.options.map((o) => ({ value: o.name, label: o.name }))}
          value={option?.name ?? ''}
          onPick={(name) => bound.onTyped(withTyped(bound.typed, [...path, ''], name))}
        />
      </FieldFrame>
      {option?.node.nodes.map((n) => (
        <Node key={`${option.name}.${n.key}`} node={n} path={[...path, n.key]} {...bound} />
      ))}
    </View>
  );
}

function Node(props: NodeProps) {
  const { node, path, typed, onTyped, errors, row } = props;
  switch (node.kind) {
    case 'number':
    case 'text':
      return <Box {...props} node={node} />;
    case 'choice':
      return (
        <FieldFrame label={node.label} error={errors.get(path.join('.'))}>
          <Choices
            id={idOf(path)}
            label={node.label}
            options={node.options.map((o) => ({ value: o, label: o }))}
            value={String(typedAt(typed, path) ?? '')}
            onPick={(v) => onTyped(withTyped(typed, path, v))}
          />
        </FieldFrame>
      );
    case 'flag': {
      const part = typedAt(typed, path);
      const on = part === true || (part === undefined && node.usual === true);
      return (
        <CheckBox
          id={idOf(path)}
          label={node.label}
          name={row ? `${row}, ${node.label}` : node.label}
          on={on}
          onToggle={() => onTyped(withTyped(typed, path, !on))}
        />
      );
    }
    case 'list':
      return <Rows {...props} node={node} />;
    case 'variant':
      return <Variant {...props} node={node} />;
    case 'group':
      return (
        <View
          className="gap-3 border-l-[3px] border-rule pl-3"
          role="group"
          aria-label={node.label}
        >
          <Txt as="strong">{node.label}</Txt>
          <Fields node={node} path={path} typed={typed} onTyped={onTyped} errors={errors} />
        </View>
      );
  }
}

/** Kinds that take a whole line where two fields are side by side. */
const WIDE: ReadonlySet<FormNode['kind']> = new Set(['list', 'variant', 'group']);

/** The fields of a group: one below another, or two side by side where there is room. */
export function Fields({
  node,
  path,
  ...bound
}: Bound & { node: Extract<FormNode, { kind: 'group' }>; path: Path }) {
  return (
    <View className="gap-4 md:flex-row md:flex-wrap">
      {node.nodes.map((n) => (
        <View key={n.key} className={WIDE.has(n.kind) ? 'w-full' : 'md:w-[48%]'}>
          <Node node={n} path={[...path, n.key]} {...bound} />
        </View>
      ))}
    </View>
  );
}
