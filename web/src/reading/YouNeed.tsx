import type { PatternEstimate, TotalMass, Wool } from '@lanakit/core/engine';
import type { Need } from '@lanakit/core/needles';
import type { Pattern } from '@lanakit/core/pattern';
import { type Reader, WISP_G } from '@lanakit/core/reading';
import {
  CUT_WORDS,
  cutSizesIn,
  guidePagesWords,
  needName,
  packedWoolWords,
  PROVISION_WORDS,
} from '@lanakit/core/words';
import { useMemo } from 'react';
import { useGuide } from '../guide/useGuide.ts';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { PREPARATION_WORDS, showCount, showGrams, showWeighed, timesWords } from '../words/show.ts';
import type { Packed } from '@lanakit/core/papers';
import styles from './Reading.module.css';

interface YouNeedProps {
  build: Pattern;
  /** It numbers the parts. */
  whole: Pattern;
  estimate: PatternEstimate;
  wool: Wool;
  tools: readonly Need[];
  reader: Reader;
  /** Nobody is there to share a tool with. */
  isAlone: boolean;
  /** What is in the bag; null: what the pattern takes. */
  packed: Packed | null;
}

/** Wool, findings, what is cut to size, and tools. With the kit it is in the bag. */
export function YouNeed({ build, whole, estimate, wool, tools, reader, isAlone, packed }: YouNeedProps) {
  const tried = new Set(build.steps.flatMap(({ act }) => (act.kind === 'choose' ? act.findingUseIds : [])));
  return (
    <section className={styles.need}>
      <div>
        <h2>{reader === 'kit' ? 'In the bag' : 'You need'}</h2>
        <ul>
          {(packed ? packedLines(packed) : takenLines(estimate)).map(({ fibreId, amount, more }) => {
            const fibre = wool.fibres.get(fibreId);
            return (
              <li key={fibreId}>
                {fibre && <FibreSwatch fibre={fibre} width={34} height={16} />}
                <span>
                  {fibre?.name}{' '}
                  {fibre && <span className={styles.small}>{PREPARATION_WORDS[fibre.preparation]}</span>}
                  {more !== '' && <span className={styles.small}>, {more}</span>}
                </span>
                <b>{amount}</b>
              </li>
            );
          })}
          {build.findings.map(({ id, findingId, count }) => (
            <li key={id}>
              <span>
                {wool.findings.get(findingId ?? '')?.name ?? 'not chosen yet'}
                {tried.has(id) && <span className={styles.small}> to try: what is not kept goes back</span>}
              </span>
              <b>{showCount(count)}</b>
            </li>
          ))}
          {build.cuts.map((cut) => {
            const cutEstimate = estimate.cuts.find(({ cutId }) => cutId === cut.id);
            return (
              <li key={cut.id}>
                <span>
                  {cut.name || CUT_WORDS[cut.kind]}
                  {cut.findingId && `, ${wool.findings.get(cut.findingId)?.name ?? ''}`}
                </span>
                <b>
                  {cutEstimate?.cut ? cutSizesIn(cutEstimate.sizes, build) : 'not said'}
                  {timesWords(cut.count)}
                </b>
              </li>
            );
          })}
        </ul>
        {packed && packed.copies > 1 && (
          <p className={styles.small}>Wool for all {packed.copies} of them; everything else for one.</p>
        )}
        {packed?.hasLaidOut === true && (
          <p className={styles.small}>What you choose lies out on the table.</p>
        )}
        {packed?.hasSpareBag === true && (
          <p className={styles.small}>Short of a colour? There is a bag for all.</p>
        )}
      </div>
      <div>
        <h2>Tools</h2>
        <ul>
          {tools.map((need) => (
            <li key={need.key}>
              <span>
                <NeedName need={need} build={build} whole={whole} wool={wool} />
                {need.count > 1 && ` ×${need.count}`}
              </span>
              <span className={styles.small}>{!isAlone && PROVISION_WORDS[need.per]}</span>
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

/** The guide with how many pages of A4 it is. */
function NeedName({
  need,
  build,
  whole,
  wool,
}: { need: Need } & Pick<YouNeedProps, 'build' | 'whole' | 'wool'>) {
  const isGuide = need.what.is === 'tool' && need.what.tool === 'guide';
  const request = useMemo(
    () => (isGuide ? { title: build.title, builds: [{ build, whole, forWhom: '' }] } : null),
    [isGuide, build, whole],
  );
  const laid = useGuide(request, wool, 'a4');
  const pages = laid.kind === 'laid' ? laid.guide.pages.length : 0;
  return <>{isGuide && pages > 0 ? guidePagesWords(pages) : needName(need)}</>;
}

interface WoolLine {
  readonly fibreId: string;
  readonly amount: string;
  readonly more: string;
}

const takenLines = ({ fibres }: PatternEstimate): WoolLine[] =>
  fibres.map(({ fibreId, total }) => ({ fibreId, amount: amountWords(total), more: '' }));

const packedLines = ({ wool, scaleStepG }: Packed): WoolLine[] =>
  wool.map((packedWool) => ({
    fibreId: packedWool.fibreId,
    amount: packedWoolWords(packedWool, scaleStepG),
    more:
      packedWool.ifNeededG > 0 ? `${showWeighed(packedWool.ifNeededG, scaleStepG)} of it only if needed` : '',
  }));

const amountWords = ({ likelyG, unknownCount }: TotalMass): string => {
  if (unknownCount > 0) return likelyG > 0 ? `at least ${showGrams(likelyG)}` : 'amount unknown';
  return likelyG < WISP_G ? `under ${WISP_G} g` : `about ${showGrams(likelyG)}`;
};
