import { percentOf, toMm } from '@lanakit/core/base';
import type { PartEstimate } from '@lanakit/core/engine';
import type { Part } from '@lanakit/core/pattern';
import { counted } from '../../words/show.ts';
import styles from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';

/** What the sample taught, in one line. */
export function SampleEvidence({ part, estimate }: { part: Part; estimate: PartEstimate }) {
  const whole = useTable((table) => table.estimate);
  const shelf = useTable((table) => table.shelf);
  const core = part.uses.find(({ role }) => role === 'core');
  const fibre = core?.role === 'core' ? shelf.get(core.fibreId ?? '') : undefined;
  if (!part.sample || !fibre || !estimate.rollUp) return null;
  const growth = whole.calibration.growth(fibre, part.firmness, estimate.rollUp.packing);
  const density = whole.calibration.finished(fibre, part.firmness);
  const { rolled, felted } = part.sample;
  return (
    <p className={`quiet small ${styles.span12}`}>
      {rolled && felted && toMm(rolled) > 0 && growth.samples > 0
        ? `Felting took ${Math.round((1 - toMm(felted) / toMm(rolled)) * 100)} % across here; ${fibre.name} is rolled by that, with our default still counting a little. `
        : ''}
      {density.samples > 0
        ? `${fibre.name}, ${part.firmness}: ${density.value.toFixed(3)} g/cm³ ${density.samples > 1 ? `from ${counted(density.samples, 'sample')}, this one among them` : 'from this sample'}, and our default.`
        : ''}
      {part.sample.massG !== null &&
        density.samples === 0 &&
        'It teaches nothing yet: something of the piece is unknown, or it weighs less than what lies over its core.'}
      {part.sample.sizeFraction !== 1 &&
        ` It was weighed at ${Math.round(percentOf(part.sample.sizeFraction))} % of the present size, and counts by its shape.`}
    </p>
  );
}
