import type { Promised } from '@lanakit/core/api';
import { type Blend, expandBlend, type Fibre } from '@lanakit/core/shelf';
import { useMemo } from 'react';
import {
  useBlends,
  useFibres,
  useFindings,
  useNeedles,
  usePromisedAhead,
  useSuppliers,
  useTools,
} from '../api/queries.ts';
import {
  blendEntry,
  type Entry,
  fibreEntry,
  findingEntry,
  needleEntry,
  supplierEntry,
  toolEntry,
} from './entries.ts';

/** The parts of the shelf, each a list of its own. */
export const SECTIONS = ['wool', 'findings', 'tools', 'suppliers'] as const;
export type Section = (typeof SECTIONS)[number];

interface Entries {
  readonly entries: readonly Entry[];
  readonly isReady: boolean;
  readonly error: Error | undefined;
}

/** Everything of one section as a list shows it. */
export function useEntries(section: Section): Entries & { promised: ReadonlyMap<string, Promised> } {
  const wool = useWoolEntries();
  const findings = useFindings();
  const needles = useNeedles();
  const tools = useTools();
  const suppliers = useSuppliers();
  const { promised } = wool;
  const things = useMemo(
    () => (findings.data?.items ?? []).map((finding) => findingEntry(finding, promised.get(finding.id))),
    [findings.data, promised],
  );
  const handTools = useMemo(
    () => [
      ...(needles.data?.items ?? []).map((needle) => needleEntry(needle, promised.get(needle.id))),
      ...(tools.data?.items ?? []).map((tool) => toolEntry(tool, promised.get(tool.id))),
    ],
    [needles.data, tools.data, promised],
  );
  const sellers = useMemo(() => (suppliers.data?.items ?? []).map(supplierEntry), [suppliers.data]);
  const bySection: Readonly<Record<Section, Entries>> = {
    wool,
    findings: { entries: things, isReady: findings.data !== undefined, error: findings.error },
    tools: {
      entries: handTools,
      isReady: needles.data !== undefined && tools.data !== undefined,
      error: needles.error ?? tools.error,
    },
    suppliers: { entries: sellers, isReady: suppliers.data !== undefined, error: suppliers.error },
  };
  return { ...bySection[section], promised: wool.promised };
}

function useWoolEntries() {
  const fibres = useFibres();
  const blends = useBlends();
  const promised = usePromisedAhead();
  const promisedById = useMemo(
    () => new Map((promised.data?.items ?? []).map((item) => [item.itemId, item])),
    [promised.data],
  );
  const entries = useMemo(() => {
    const fibreItems = fibres.data?.items ?? [];
    const byId = new Map(fibreItems.map((fibre) => [fibre.id, fibre]));
    const blendItems = blends.data?.items ?? [];
    const massOf = (id: string) => promisedById.get(id)?.amount ?? 0;
    return [
      ...fibreItems.map((fibre) => fibreEntry(fibre, massOf(fibre.id))),
      ...blendItems.map((blend) => blendEntry(blend, massOf(blend.id), strandsOf(blend, blendItems, byId))),
    ];
  }, [fibres.data, blends.data, promisedById]);
  return {
    entries,
    promised: promisedById,
    // What is free needs both; where the second cannot be read, that is told above the list.
    isReady:
      fibres.data !== undefined &&
      blends.data !== undefined &&
      (promised.data !== undefined || promised.error !== undefined),
    error: fibres.error ?? blends.error,
  };
}

/** The colour and share of every fibre in a blend; none while it cannot be. */
function strandsOf(blend: Blend, blends: readonly Blend[], fibres: ReadonlyMap<string, Fibre>) {
  const expanded = expandBlend(blend.parts, (id) => blends.find((other) => other.id === id)?.parts, [
    blend.id,
  ]);
  if (!expanded.ok) return undefined;
  return [...expanded.fractions].map(([id, fraction]) => ({
    colour: fibres.get(id)?.colour ?? '#888888',
    fraction,
  }));
}

/** Everything that can be bought, by id. */
export function useGoods(): ReadonlyMap<string, Entry> {
  const wool = useEntries('wool').entries;
  const findings = useEntries('findings').entries;
  const tools = useEntries('tools').entries;
  return useMemo(
    () => new Map([...wool, ...findings, ...tools].map((entry) => [entry.id, entry])),
    [wool, findings, tools],
  );
}
