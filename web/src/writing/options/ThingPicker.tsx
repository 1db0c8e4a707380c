import type { Wool } from '@lanakit/core/engine';
import type { Pattern, ThingKind, ThingRef } from '@lanakit/core/pattern';
import { CUT_WORDS } from '@lanakit/core/words';
import { Select } from 'antd';
import { useMemo } from 'react';
import { Field } from '../../ui/fields/Field.tsx';
import { useTable } from '../table/tableContext.ts';
import { ownerName } from '../../words/ownerWords.ts';
import { layerName } from '../../words/layerName.ts';

interface ThingPickerProps {
  label: string;
  things: readonly ThingRef[];
  className: string;
  onChoose: (things: ThingRef[]) => void;
}

/** Parts, wool, joins, findings, steps and pictures of the pattern, by name. */
export function ThingPicker({ label, things, className, onChoose }: ThingPickerProps) {
  const document = useTable((table) => table.document);
  const wool = useTable((table) => table.wool);
  const groups = useMemo(() => thingGroups(document, wool), [document, wool]);
  return (
    <Field label={label} className={className}>
      {(control) => (
        <Select
          {...control}
          mode="multiple"
          className="wide"
          value={things.map(keyOf)}
          placeholder="nothing yet"
          optionFilterProp="label"
          popupMatchSelectWidth={340}
          options={groups}
          onChange={(keys: string[]) => onChoose(keys.map(thingOf))}
        />
      )}
    </Field>
  );
}

const keyOf = ({ kind, id }: ThingRef): string => `${kind}:${id}`;

function thingOf(key: string): ThingRef {
  const at = key.indexOf(':');
  return { kind: key.slice(0, at) as ThingKind, id: key.slice(at + 1) };
}

/** Everything an option may switch, under the headings of the work table. */
function thingGroups(pattern: Pattern, wool: Wool) {
  const option = (kind: ThingKind, id: string, label: string) => ({ value: keyOf({ kind, id }), label });
  return [
    {
      label: 'Parts',
      options: pattern.parts.map(({ id, name }, at) => option('part', id, `${at + 1} ${name}`)),
    },
    {
      label: 'Wool and inserts',
      options: pattern.parts.flatMap((part) =>
        part.uses.map((use) => option('use', use.id, layerName(part.name, use, wool))),
      ),
    },
    {
      label: 'Joins',
      options: pattern.joins.map(({ id }) =>
        option('join', id, `join ${ownerName({ kind: 'join', id }, pattern)}`),
      ),
    },
    {
      label: 'Findings',
      options: pattern.findings.map(({ id, findingId }) =>
        option('finding', id, wool.findings.get(findingId ?? '')?.name ?? 'not chosen yet'),
      ),
    },
    {
      label: 'Cut to size',
      options: pattern.cuts.map((cut) => option('cut', cut.id, cut.name || CUT_WORDS[cut.kind])),
    },
    {
      label: 'Steps',
      options: pattern.steps.map(({ id, text }, at) =>
        option('step', id, `step ${at + 1} ${text.slice(0, 48)}`),
      ),
    },
    {
      label: 'Poses',
      options: pattern.poses.map(({ id, name }) => option('pose', id, `pose ${name}`)),
    },
    {
      label: 'Pictures',
      options: pattern.steps.flatMap(({ pictures }, at) =>
        pictures.map(({ id, caption }) => option('picture', id, `picture of step ${at + 1} ${caption}`)),
      ),
    },
  ].filter(({ options }) => options.length > 0);
}
