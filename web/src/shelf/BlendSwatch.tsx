import { type BlendInput, type Fibre, mixColours } from '@lanakit/core/shelf';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import type { Strand } from '../ui/look/fibreTile.ts';
import type { Wool } from './useFibresAndBlends.ts';

const strandsOf = (fractions: ReadonlyMap<string, number>, fibres: ReadonlyMap<string, Fibre>): Strand[] =>
  [...fractions].map(([id, fraction]) => ({ colour: fibres.get(id)?.colour ?? '#888888', fraction }));

interface BlendSwatchProps {
  name: string;
  preparation: BlendInput['preparation'];
  fractions: ReadonlyMap<string, number> | null;
  wool: Wool;
}

export function BlendSwatch({ name, preparation, fractions, wool }: BlendSwatchProps) {
  if (!fractions) return <p className="quiet small">Its colour comes with what goes into it.</p>;
  const strands = strandsOf(fractions, wool.fibres);
  return (
    <FibreSwatch
      fibre={{ name, preparation, colour: mixColours(strands), strands }}
      width={null}
      height={64}
    />
  );
}
