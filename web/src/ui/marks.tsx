import type { Caution, Depth, Stroke } from '@lanakit/core/pattern';
import type { NeedleWanted, Profile } from '@lanakit/core/shelf';
import { CAUTION_NAMES, CAUTION_WORDS, DEPTH_WORDS, STROKE_WORDS, wantedName } from '@lanakit/core/words';
import type { ReactNode } from 'react';
import styles from './marks.module.css';

/** A mark of our own, drawn on a ground of 20 × 20; its name is for readers and for the hand that rests on it. */
function Mark({
  name,
  more,
  tone,
  children,
}: {
  name: string;
  more?: string;
  tone?: string;
  children: ReactNode;
}) {
  return (
    <svg role="img" aria-label={name} viewBox="0 0 20 20" className={`${styles.mark} ${tone ?? ''}`}>
      {/* The browser’s own hint: a long pattern has a thousand marks. */}
      <title>{more ? `${name}. ${more}` : name}</title>
      {children}
    </svg>
  );
}

/** The felt’s surface, and what goes into it. */
const SURFACE = <path d="M2 13.5h16" className={styles.faint} />;

const STROKES: Readonly<Record<Stroke, ReactNode>> = {
  'toward-centre': (
    <>
      <circle cx="10" cy="10" r="7" className={styles.faint} />
      <path d="M10 2v5M10 18v-5M2 10h5M18 10h-5" />
    </>
  ),
  'straight-down': (
    <>
      {SURFACE}
      <path d="M6 3v9M10 3v9M14 3v9" />
    </>
  ),
  'at-a-slant': (
    <>
      {SURFACE}
      <path d="M3 5l7 8M8 5l7 8" />
    </>
  ),
  along: (
    <>
      <path d="M2 6h16M2 14h16" className={styles.faint} />
      <path d="M4 10h12M13 7.5l3 2.5-3 2.5" />
    </>
  ),
  'one-direction': (
    <>
      {SURFACE}
      <path d="M4 9h10M11.5 6.5L14 9l-2.5 2.5" />
    </>
  ),
  'edges-first': (
    <>
      <rect x="3" y="3" width="14" height="14" rx="3" strokeDasharray="2.4 2" />
      <path d="M3 3l3 3M17 3l-3 3M3 17l3-3M17 17l-3-3" />
    </>
  ),
  'round-a-rim': (
    <>
      <ellipse cx="10" cy="11" rx="7" ry="4" className={styles.faint} />
      <path d="M4 8a7 4 0 0 1 12 0M13.5 7.5L16 8l.3-2.6" />
    </>
  ),
  'in-passes': <path d="M3 5h14M3 10h14M3 15h14M14.5 3L17 5l-2.5 2M5.5 8L3 10l2.5 2M14.5 13L17 15l-2.5 2" />,
  skimmed: (
    <>
      {SURFACE}
      <path d="M2 9l14 3M13 9.5l3 2.5-3.4 1" />
    </>
  ),
  dipped: (
    <>
      {SURFACE}
      <path d="M6 3v11a2 2 0 0 0 4 0V4M8 6.5L10 4l2 2.5" />
    </>
  ),
  swept: (
    <>
      {SURFACE}
      <path d="M3 12q7-8 14 0M14 12.3l3-.3-.6-3" />
    </>
  ),
  'sideways-at-an-end': (
    <>
      <rect x="8" y="3" width="8" height="14" rx="3" className={styles.faint} />
      <path d="M1.5 14H10M7.5 11.5L10 14l-2.5 2.5" />
    </>
  ),
  'from-both-sides': (
    <>
      <path d="M10 3v14" className={styles.faint} />
      <path d="M2 10h6M12 10h6M5.5 7.5L8 10l-2.5 2.5M14.5 7.5L12 10l2.5 2.5" />
    </>
  ),
  'through-and-out': (
    <>
      <circle cx="10" cy="10" r="5" className={styles.faint} />
      <path d="M2 10h16M15.5 7.5L18 10l-2.5 2.5" />
    </>
  ),
  'in-one-spot': (
    <>
      <circle cx="10" cy="10" r="1.5" />
      <path d="M3 4l5 4.5M17 4l-5 4.5M3 16l5-4.5M17 16l-5-4.5" />
    </>
  ),
  'deep-in-a-spot': (
    <>
      {SURFACE}
      <path d="M10 2v14M7.5 13.5L10 16.5l2.5-3" />
    </>
  ),
};

export const StrokeMark = ({ stroke }: { stroke: Stroke }) => (
  <Mark name={STROKE_WORDS[stroke]}>{STROKES[stroke]}</Mark>
);

const DEPTH_MM: Readonly<Record<Depth, number>> = { light: 8, half: 12.5, through: 18 };

/** The needle goes so far into the piece. */
export const DepthMark = ({ depth }: { depth: Depth }) => (
  <Mark name={DEPTH_WORDS[depth]}>
    <rect x="3" y="6" width="14" height="10" rx="3" className={styles.faint} />
    <path d={`M10 1.5V${DEPTH_MM[depth]}`} />
    <circle cx="10" cy={DEPTH_MM[depth]} r="1.2" className={styles.solid} />
  </Mark>
);

export const CheckMark = ({ count }: { count: number }) => (
  <Mark name={count === 1 ? 'a check' : `${count} checks`}>
    <circle cx="9" cy="9" r="6" />
    <path d="M13.5 13.5L18 18M6.5 9l2 2 3-4" />
  </Mark>
);

export const WaitMark = () => (
  <Mark name="something sets or dries">
    <path d="M5 2.5h10M5 17.5h10M6 2.5c0 5 8 5 8 7.5s-8 2.5-8 7.5M14 2.5c0 5-8 5-8 7.5s8 2.5 8 7.5" />
  </Mark>
);

export const RepeatMark = ({ times }: { times: number }) => (
  <Mark name={`written once, done ${times} times`}>
    <path d="M4 7h9a4 4 0 0 1 0 8H6M6.5 4L4 7l2.5 3" />
  </Mark>
);

export const PictureMark = () => (
  <Mark name="with a picture">
    <rect x="2.5" y="4" width="15" height="12" rx="1.5" />
    <path d="M5 13l3.5-4 3 3 2-2 2.5 3" />
  </Mark>
);

const CAUTION_SHAPES: Readonly<Record<Caution, ReactNode>> = {
  needle: <path d="M3 17L15 5M13 3l4 4M8 10l2 .5M10 8l2 .5" />,
  blade: <path d="M4 4l11 12M16 4L5 16M4 17a1.6 1.6 0 1 0 .1 0M16 17a1.6 1.6 0 1 0 .1 0" />,
  hot: <path d="M4 17h12M6 13c-2-3 2-4 0-7M10 13c-2-3 2-4 0-7M14 13c-2-3 2-4 0-7" />,
  glue: (
    <path d="M10 2.5C6 8 4.5 10.5 4.5 13a5.5 5.5 0 0 0 11 0c0-2.5-1.5-5-5.5-10.5zM8 14a2.5 2.5 0 0 0 2.5 2" />
  ),
  'wire-end': <path d="M2 13c4 0 4-6 8-6h5M15 4l3 3-3 3M18 7h-4" />,
  'small-part': (
    <>
      <circle cx="10" cy="10" r="7.5" className={styles.faint} />
      <circle cx="10" cy="10" r="2" className={styles.solid} />
    </>
  ),
  allergy: <path d="M3 15c0-6 3-11 7-11s7 5 7 11M7 15c0-4 1-7 3-7s3 3 3 7M2 15h16" />,
  irreversible: <path d="M3 10h11M10 6l4 4-4 4M17 4v12" />,
};

export const CautionMark = ({ caution }: { caution: Caution }) => (
  <Mark name={CAUTION_NAMES[caution]} more={CAUTION_WORDS[caution]} tone="amber">
    {CAUTION_SHAPES[caution]}
  </Mark>
);

/** A needle cut across: what its profile looks like from the tip. */
const PROFILE_SHAPES: Readonly<Record<Profile, ReactNode>> = {
  triangular: <path d="M10 4l6 11H4z" />,
  star: <path d="M10 3l2 5 5 2-5 2-2 5-2-5-5-2 5-2z" />,
  spiral: <path d="M10 10a2 2 0 1 1 2 2 4 4 0 1 1-4-4 6 6 0 0 1 8 4" />,
  crown: <path d="M4 15V6l3 4 3-5 3 5 3-4v9z" />,
  reverse: <path d="M10 16V4M6 8l4-4 4 4M6 13l4-4 4 4" />,
};

/** A needle as it is asked for, as short as it can be told. */
export function NeedleMarkShort({ wanted }: { wanted: NeedleWanted }) {
  const name = wantedName(wanted);
  const profile = wanted.by === 'gauge' ? wanted.profile : null;
  return (
    <b className={styles.short} title={`${name} needle`}>
      {wanted.by === 'gauge' ? wanted.gauge : name}
      {profile && (
        <svg role="img" aria-label={profile} viewBox="0 0 20 20" className={styles.profile}>
          {PROFILE_SHAPES[profile]}
        </svg>
      )}
    </b>
  );
}
