import { drawerOf, type FindingMeasure, type Needle } from '@lanakit/core/shelf';
import { memo, useId } from 'react';
import { FibrePattern } from '../ui/look/FibrePattern.tsx';
import type { Entry } from './entries.ts';

const PICTURE_WIDTH = 150;
const PICTURE_HEIGHT = 58;

/** Enough to see the colour of what is nearly gone. */
const LEAST_LEVEL_PX = 7;

/** A thing on the shelf as it lies: wool to the height the drawer is full, small things drawn large, needles and tools. */
export const DrawerPicture = memo(function DrawerPicture({ entry }: { entry: Entry }) {
  return (
    <svg
      width="100%"
      height={PICTURE_HEIGHT}
      viewBox={`0 0 ${PICTURE_WIDTH} ${PICTURE_HEIGHT}`}
      preserveAspectRatio="none"
      aria-hidden
      className="as-block"
    >
      <rect width={PICTURE_WIDTH} height={PICTURE_HEIGHT} fill="var(--paper-2)" />
      {entry.wool ? <WoolLevel entry={entry} /> : <Thing entry={entry} />}
    </svg>
  );
});

/** How full, with a dashed line at what runs will take and red hatching where it is not there. */
function WoolLevel({ entry }: { entry: Entry }) {
  const id = useId();
  const drawer = drawerOf(entry.onHand, entry.peak, entry.promised);
  if (!entry.wool) return null;
  if (!drawer) return <Specimen entry={entry} />;
  const height = Math.max(LEAST_LEVEL_PX, drawer.fillFraction * PICTURE_HEIGHT);
  const top = PICTURE_HEIGHT - height;
  const promisedY = PICTURE_HEIGHT * (1 - drawer.promisedFraction);
  return (
    <>
      <defs>
        <FibrePattern id={id} fibre={entry.wool} seed={entry.wool.name} />
        <pattern
          id={`${id}-short`}
          width={6}
          height={6}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={1.6} height={6} fill="var(--red)" />
        </pattern>
      </defs>
      <rect y={top} width={PICTURE_WIDTH} height={height} fill={`url(#${id})`} opacity={drawer ? 1 : 0.28} />
      {drawer.short > 0 && (
        <rect
          y={promisedY}
          width={PICTURE_WIDTH}
          height={Math.max(0, top - promisedY)}
          fill={`url(#${id}-short)`}
        />
      )}
      {entry.promised > 0 && (
        <>
          <line x2={PICTURE_WIDTH} y1={promisedY} y2={promisedY} stroke="var(--paper)" strokeWidth={3.4} />
          <line
            x2={PICTURE_WIDTH}
            y1={promisedY}
            y2={promisedY}
            stroke="var(--ink)"
            strokeWidth={1.4}
            strokeDasharray="6 4"
          />
        </>
      )}
    </>
  );
}

/** Never counted: a lock of it lies out, and the drawer says nothing of how much. */
function Specimen({ entry }: { entry: Entry }) {
  const id = useId();
  if (!entry.wool) return null;
  return (
    <>
      <defs>
        <FibrePattern id={id} fibre={entry.wool} seed={entry.wool.name} />
      </defs>
      <rect x={14} y={16} width={PICTURE_WIDTH - 28} height={26} fill={`url(#${id})`} />
      <rect
        x={8}
        y={10}
        width={PICTURE_WIDTH - 16}
        height={38}
        fill="none"
        stroke="var(--ink-2)"
        strokeDasharray="3 4"
      />
    </>
  );
}

function Thing({ entry }: { entry: Entry }) {
  const { item } = entry;
  switch (item.kind) {
    case 'finding':
      return <FindingGlyph measure={item.thing.measure} colour={entry.colour} />;
    case 'needle':
      return <NeedleGlyph needle={item.thing} />;
    case 'tool':
      return (
        <Rack count={Math.min(12, Math.round(entry.onHand ?? 0))} isRound={item.thing.sort === 'holder'} />
      );
    case 'supplier':
      return <Rack count={Math.min(12, Math.ceil(item.thing.offers.length / 5))} isRound={false} />;
    case 'fibre':
    case 'blend':
      return null;
  }
}

const MIDDLE = PICTURE_HEIGHT / 2;
/** Small things are drawn three times their size, until they would not fit. */
const ENLARGED = 3;
const MOST_PX = 44;

function FindingGlyph({ measure, colour }: { measure: FindingMeasure; colour: string | null }) {
  const fill = colour ?? 'var(--line)';
  const outline = { fill, stroke: 'var(--ink)', strokeWidth: 1 };
  switch (measure.by) {
    case 'count': {
      const across = Math.min(MOST_PX, (measure.outerMm.width ?? 6) * ENLARGED);
      const hole = measure.innerMm === null ? 0 : Math.min(across * 0.8, measure.innerMm * ENLARGED);
      return (
        <>
          {[-1, 0, 1].map((place) => (
            <g key={place} transform={`translate(${PICTURE_WIDTH / 2 + place * (across + 4)} ${MIDDLE})`}>
              {/* No two found things are alike. */}
              <circle r={(across / 2) * (measure.sizeVaries ? 1 + place * 0.18 : 1)} {...outline} />
              {hole > 0 && <circle r={hole / 2} fill="var(--paper-2)" stroke="var(--ink)" />}
            </g>
          ))}
        </>
      );
    }
    case 'length': {
      const thick = Math.min(18, Math.max(1, (measure.diameterMm ?? 1) * ENLARGED));
      return (
        <path
          d={`M-4 ${MIDDLE + 6} C 30 ${MIDDLE - 26}, 60 ${MIDDLE + 26}, 90 ${MIDDLE - 4} S 140 ${MIDDLE + 8}, 156 ${MIDDLE - 8}`}
          fill="none"
          stroke={colour ?? 'var(--ink-2)'}
          strokeWidth={thick}
        />
      );
    }
    case 'area':
      return (
        <>
          <rect x={24} y={8} width={102} height={42} {...outline} />
          {measure.nap !== 'none' && (
            <path
              d={
                measure.nap === 'along-length'
                  ? 'M50 29 h50 m-8 -5 l8 5 l-8 5'
                  : 'M75 42 v-26 m-5 8 l5 -8 l5 8'
              }
              fill="none"
              stroke="var(--ink)"
            />
          )}
        </>
      );
    case 'volume':
      return (
        <path d="M63 52 V26 l7 -8 v-10 h10 v10 l7 8 v26 z" {...outline} fill={colour ?? 'var(--paper)'} />
      );
  }
}

/** Coarse needles are drawn thicker; the barbs sit within the reach. */
function NeedleGlyph({ needle }: { needle: Needle }) {
  const thick = needle.gauge === null ? 2.4 : 1.2 + (42 - needle.gauge) * 0.28;
  const reach = Math.min(60, (needle.reachMm ?? 0) * 1.8);
  return (
    <>
      <path d={`M14 ${MIDDLE} H100`} stroke="var(--ink-2)" strokeWidth={thick + 1.6} />
      <path d={`M60 ${MIDDLE} H140`} stroke="var(--ink-2)" strokeWidth={thick} />
      {Array.from({ length: Math.floor(reach / 7) }, (_, i) => (
        <path
          key={i}
          d={`M${136 - i * 7} ${MIDDLE - thick / 2} l-4 -3`}
          stroke="var(--ink)"
          strokeWidth={1.1}
        />
      ))}
      {needle.mark && (
        <rect x={16} y={MIDDLE - 7} width={26} height={14} fill={needle.mark.colour} stroke="var(--ink)" />
      )}
    </>
  );
}

/** So many of a thing, standing in a row. */
function Rack({ count, isRound }: { count: number; isRound: boolean }) {
  return (
    <>
      {Array.from({ length: count }, (_, i) =>
        isRound ? (
          <circle key={i} cx={14 + i * 11} cy={MIDDLE} r={4.5} fill="var(--paper)" stroke="var(--ink-2)" />
        ) : (
          <rect
            key={i}
            x={10 + i * 11}
            y={16}
            width={7}
            height={28}
            fill="var(--paper)"
            stroke="var(--ink-2)"
          />
        ),
      )}
    </>
  );
}
