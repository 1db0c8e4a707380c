import type {
  BackupContents,
  Bench,
  BinnedThing,
  ClassDay,
  ClassEvents,
  ClassTook,
  Buying,
  Cutting,
  HistoryEntry,
  FoundAnswer,
  HistoryState,
  ItemUse,
  Keeping,
  KeptKind,
  LabelPlaceFound,
  LearningState,
  CommissionLine,
  CommissionPage,
  GalleryPicture,
  LogbookLine,
  LogbookPage,
  MakingLineOfBook,
  MakingPage,
  Makes,
  NeedleTray,
  NetworkState,
  OpenedRun,
  SeasonsState,
  YearState,
  PackCodes,
  PageOf,
  PatternLine,
  Persons,
  PrinterInfo,
  Promised,
  PromisedBefore,
  Revision,
  RevisionLine,
  RunLine,
  RunTicks,
  ScaleInfo,
  ScannerInfo,
  StoredPattern,
  WriteLogPage,
  SessionState,
} from '@lanakit/core/api';
import type { Order } from '@lanakit/core/buying';
import { type Wool, woolOnShelf } from '@lanakit/core/engine';
import type { ImportRecord } from '@lanakit/core/files';
import type { BreakageEvidence } from '@lanakit/core/needles';
import type { Learnt } from '@lanakit/core/learning';
import type { ClassQuestion } from '@lanakit/core/logbook';
import type { Pattern } from '@lanakit/core/pattern';
import type {
  Blend,
  Fibre,
  Finding,
  HandMeasure,
  Movement,
  Needle,
  Supplier,
  Tool,
} from '@lanakit/core/shelf';
import type { Technique } from '@lanakit/core/writing';
import useSWR, { type SWRResponse } from 'swr';
import { useMemo, useState } from 'react';
import { nanoid } from 'nanoid';
import { get } from './client.ts';

export interface Items<T> {
  readonly items: readonly T[];
}

export type Resource<T> = SWRResponse<T, Error>;

const useList = <T>(path: string): Resource<Items<T>> => useSWR(path, get<Items<T>>);

export const useFibres = (): Resource<Items<Fibre>> => useList('/fibres');
export const useBlends = (): Resource<Items<Blend>> => useList('/blends');
export const useFindings = (): Resource<Items<Finding>> => useList('/findings');
export const useNeedles = (): Resource<Items<Needle>> => useList('/needles');
/** How often needles have broken, gauge by gauge, as closed counts tell it. */
export const useNeedleEvidence = (): Resource<Items<BreakageEvidence>> => useList('/needle-evidence');
export const useTray = (runId: string): Resource<NeedleTray> =>
  useSWR(`/runs/${runId}/tray`, get<NeedleTray>);
export const useTools = (): Resource<Items<Tool>> => useList('/tools');
export const useSuppliers = (): Resource<Items<Supplier>> => useList('/suppliers');
export const useHandMeasures = (): Resource<Items<HandMeasure>> => useList('/hand-measures');
/** What the logbook taught, as it is in force. */
export const useLearnt = (): Resource<{ readonly learnt: Learnt | null }> =>
  useSWR('/learnt', get<{ readonly learnt: Learnt | null }>);
export const useImports = (): Resource<Items<ImportRecord>> => useList('/imports');
/** What runs ahead will take of each fibre. */
export const usePromisedAhead = (): Resource<Items<Promised>> => useList('/promised');
export const useUses = (path: string): Resource<Items<ItemUse>> => useList(`${path}/uses`);
export const useMovements = (itemId: string): Resource<Items<Movement>> =>
  useList(`/stock/movements/${itemId}`);

const NOTHING: readonly never[] = [];

/** All wool, fibres as their lot in use has them and blends beside them; the same by id as the core looks it up. */
export function useShelf() {
  const { data: fibres, error: fibresError } = useFibres();
  const { data: blends, error: blendsError } = useBlends();
  const byId = useMemo(
    () => woolOnShelf(fibres?.items ?? NOTHING, blends?.items ?? NOTHING),
    [fibres, blends],
  );
  const wool = useMemo(() => [...byId.values()], [byId]);
  return {
    fibres: wool,
    byId,
    isReady: fibres !== undefined && blends !== undefined,
    error: fibresError ?? blendsError,
  };
}

/** The shelf as the engine looks wool up: fibres, findings, and what this maker’s fingers take. */
export function useWool() {
  const shelf = useShelf();
  const { data: findings, error: findingsError } = useFindings();
  const { data: hands, error: handsError } = useHandMeasures();
  const { data: learnt, error: learntError } = useLearnt();
  const wool = useMemo(
    (): Wool => ({
      fibres: shelf.byId,
      findings: new Map((findings?.items ?? NOTHING).map((finding) => [finding.id, finding])),
      handMeasures: hands?.items ?? NOTHING,
      learnt: learnt?.learnt ?? null,
    }),
    [shelf.byId, findings, hands, learnt],
  );
  return {
    fibres: shelf.fibres,
    wool,
    isReady: shelf.isReady && findings !== undefined && hands !== undefined && learnt !== undefined,
    error: shelf.error ?? findingsError ?? handsError ?? learntError,
  };
}

/** Rows asked for at once: more than a screen shows, less than anybody waits for. */
export const ROWS_A_PAGE = 24;

export interface PatternsShown {
  readonly search: string;
  readonly order: 'changed' | 'title';
  readonly isArchive: boolean;
  readonly isUnknownOnly: boolean;
}

/** While another page of it is asked for, or other words, what was there stays. */
function usePage<T>(path: string, page: number, query: Readonly<Record<string, string>>): Resource<T> {
  const asked = { ...query, offset: String(page * ROWS_A_PAGE), limit: String(ROWS_A_PAGE) };
  return useSWR(`${path}?${new URLSearchParams(asked).toString()}`, get<T>, { keepPreviousData: true });
}

/** Patterns as a list shows them, a page of them. */
export const usePatternsPage = (
  { search, order, isArchive, isUnknownOnly }: PatternsShown,
  page: number,
): Resource<PageOf<PatternLine>> =>
  usePage('/pattern-lines', page, {
    search,
    order,
    ...(isArchive && { archived: 'true' }),
    ...(isUnknownOnly && { unknown: 'true' }),
  });

/** Runs as a list shows them, a page of them. */
export const useRunsPage = (
  when: 'ahead' | 'behind',
  search: string,
  page: number,
): Resource<PageOf<RunLine> & { readonly today: string }> => usePage('/runs', page, { when, search });

/** Whether the studio is open to its network, and whether it knows who is here. */
export const useSession = (): Resource<SessionState> => useSWR('/session', get<SessionState>);

/** What has these words in its name or in what is written in it; nothing is asked for no words. */
export const useFound = (search: string): Resource<FoundAnswer> =>
  useSWR(
    search.trim() === '' ? null : `/found?${new URLSearchParams({ search }).toString()}`,
    get<FoundAnswer>,
    {
      keepPreviousData: true,
    },
  );

/** Published revisions by their titles: a few, as many as somebody reads through. */
export const useRevisions = (search = ''): Resource<PageOf<RevisionLine>> =>
  useSWR(`/revisions?${new URLSearchParams({ search }).toString()}`, get<PageOf<RevisionLine>>, {
    keepPreviousData: true,
  });

/** What these revisions are called. */
export const useRevisionNames = (ids: readonly string[]): Resource<PageOf<RevisionLine>> =>
  useSWR(
    ids.length === 0 ? null : `/revisions?${new URLSearchParams({ ids: ids.join(',') }).toString()}`,
    get<PageOf<RevisionLine>>,
    { keepPreviousData: true },
  );

export const useRevision = (id: string | null): Resource<Revision> =>
  useSWR(id === null ? null : `/revisions/${id}`, get<Revision>);

/** A draft as it is saved, only to be looked at. */
export const useDraftOf = (id: string | null): Resource<StoredPattern> =>
  useSWR(id === null ? null : `/patterns/${id}#look`, () => get<StoredPattern>(`/patterns/${id}`));

/**
 * The document of a revision, or of the draft as it is saved where none is named, only to be looked at.
 * @returns the number of the revision; null of a draft
 */
export function useDocumentOf(
  patternId: string,
  revisionId: string | null,
): { document: Pattern | undefined; revisionNumber: number | null; error: Error | undefined } {
  const draft = useDraftOf(revisionId === null ? patternId : null);
  const revision = useRevision(revisionId);
  return {
    document: revision.data?.document ?? draft.data?.document,
    revisionNumber: revision.data?.number ?? null,
    error: draft.error ?? revision.error,
  };
}

export const useRun = (id: string): Resource<OpenedRun> => useFresh(`/runs/${id}`);

/** Several revisions, whole, in the order asked for. */
export const useRevisionsById = (ids: readonly string[]): Resource<Revision[]> =>
  useSWR(
    ids.length === 0 ? null : `/revisions#${ids.join(',')}`,
    () => Promise.all(ids.map((id) => get<Revision>(`/revisions/${id}`))),
    { keepPreviousData: true, revalidateOnFocus: false },
  );

/** Another device’s ticks are told at once; so often it is asked all the same, should the line be cut. */
const TICKS_EVERY_MS = 15_000;

/** What is weighed and packed, by whichever device. */
export const useTicks = (runId: string, isWatched = true): Resource<RunTicks> =>
  useSWR(`/runs/${runId}/ticks`, get<RunTicks>, { refreshInterval: isWatched ? TICKS_EVERY_MS : 0 });

/** A class on its day. What is new is told by the studio, and asked for now and then should the line be cut. */
export const useClassDayOf = (runId: string): Resource<ClassDay> =>
  useSWR(`/runs/${runId}/class-day`, get<ClassDay>, { refreshInterval: TICKS_EVERY_MS });
/** What happened in a run: of boxes only photos of them. */
export const useRunEvents = (runId: string): Resource<ClassEvents> =>
  useSWR(`/runs/${runId}/class-day/events`, get<ClassEvents>);
export const useClassTook = (runId: string): Resource<ClassTook> =>
  useSWR(`/runs/${runId}/took`, get<ClassTook>);

/** Where the label with this code belongs. */
export const useLabelPlace = (code: string | null): Resource<LabelPlaceFound> =>
  useSWR(code === null ? null : `/label-codes/${code}`, get<LabelPlaceFound>, { shouldRetryOnError: false });
export const useLogbook = (): Resource<Items<LogbookLine>> => useList('/logbook');
/** Figures that were made, the last first. */
export const useMakings = (): Resource<Items<MakingLineOfBook>> => useList('/makings');
export const useMakingPage = (id: string): Resource<MakingPage> =>
  useSWR(`/makings/${id}/page`, get<MakingPage>, { keepPreviousData: true });
/** What was asked for, those wanted soonest first. */
export const useCommissions = (): Resource<Items<CommissionLine>> => useList('/commissions');
export const useCommissionPage = (id: string): Resource<CommissionPage> =>
  useSWR(`/commissions/${id}/page`, get<CommissionPage>, { keepPreviousData: true });
/** Pages of the logbook and what was asked for, for a search; nothing while nobody searches. */
export function useBookLists(isAsked: boolean) {
  const { data: makings } = useSWR(isAsked ? '/makings' : null, get<Items<MakingLineOfBook>>);
  const { data: commissions } = useSWR(isAsked ? '/commissions' : null, get<Items<CommissionLine>>);
  return { makings: makings?.items ?? [], commissions: commissions?.items ?? [] };
}
/** Finished figures by their pictures, the last first. */
export const useGallery = (): Resource<Items<GalleryPicture>> => useList('/gallery');
/** @param year null: the last in which something was done */
export const useYear = (year: string | null): Resource<YearState> =>
  useSWR(year === null ? '/year' : `/year?year=${year}`, get<YearState>, { keepPreviousData: true });
export const useSeasons = (): Resource<SeasonsState> => useSWR('/seasons', get<SeasonsState>);
/** How many weighings there are to take. */
export const useFreshWeighings = (): Resource<{ readonly fresh: number }> =>
  useSWR('/learning/fresh', get<{ readonly fresh: number }>);
/** What was asked in classes, by pattern and step. */
export const useClassQuestions = (): Resource<Items<ClassQuestion>> => useList('/class-questions');
/** What everything weighed teaches. */
export const useLearning = (): Resource<LearningState> => useSWR('/learning', get<LearningState>);
export const useLogbookPage = (runId: string): Resource<LogbookPage> =>
  useSWR(`/logbook/${runId}`, get<LogbookPage>);
export const useScanners = (): Resource<Items<ScannerInfo>> => useList('/scanners');
export const usePrinters = (): Resource<Items<PrinterInfo>> => useList('/printers');

/** A draft to be written on. */
/** As it is written now; null: none is wanted. */
export const usePatternIf = (id: string | null): Resource<StoredPattern> =>
  useSWR(id === null ? null : `/patterns/${id}`, get<StoredPattern>);
export const usePattern = (id: string): Resource<StoredPattern> => useFresh(`/patterns/${id}`);

/**
 * Asked anew each time a page opens, never shown from an earlier visit: writing must go on from the stored version,
 * or it would run into itself as a conflict. What is asked again while the page stays is the page's to take or leave.
 */
function useFresh<T>(path: string): Resource<T> {
  const [visit] = useState(() => nanoid(6));
  return useSWR<T, Error>(`${path}#${visit}`, () => get<T>(path), { revalidateOnFocus: false });
}

export const usePromised = (id: string): Resource<PromisedBefore> =>
  useSWR(`/runs/${id}/promised`, get<PromisedBefore>);

/** How safe the studio is. */
export const useKeeping = (): Resource<Keeping> => useSWR('/keeping', get<Keeping>);

/** States of something before its changes. */
export const useHistory = (kind: KeptKind, id: string): Resource<Items<HistoryEntry>> =>
  useFresh(`/history/${kind}/${id}`);
export const useHistoryNow = (kind: KeptKind, id: string): Resource<HistoryState> =>
  useFresh(`/history/${kind}/${id}/now`);
/** One of them, which never changes. */
export const useHistoryState = (kind: KeptKind, id: string, entryId: number): Resource<object> =>
  useSWR(`/history/${kind}/${id}/states/${entryId}`, get<object>, { revalidateIfStale: false });

/** What was deleted lately. */
export const useBin = (): Resource<Items<BinnedThing>> => useList('/bin');

/** What is in a backup, against what is there now. */
export const useBackup = (name: string): Resource<BackupContents> =>
  useSWR(`/backups/${name}`, get<BackupContents>, { revalidateOnFocus: false });

export const useBench = (): Resource<Bench> => useSWR('/bench', get<Bench>);

export const useTechniques = (): Resource<Items<Technique>> => useSWR('/techniques', get<Items<Technique>>);

/** One version of a technique, which never changes; null asks for nothing. */
export const useTechniqueVersion = (id: string | null, version: number): Resource<Technique> =>
  useSWR(id === null ? null : `/techniques/${id}/versions/${version}`, get<Technique>, {
    revalidateIfStale: false,
  });

/** A published revision without its document. */
export type RevisionHead = Omit<Revision, 'document'>;

export const useRevisionsOf = (patternId: string | null): Resource<Items<RevisionHead>> =>
  useSWR(patternId === null ? null : `/patterns/${patternId}/revisions`, get<Items<RevisionHead>>);

/** What runs ahead want, by when, and what is on its way. */
export const useBuying = (): Resource<Buying> => useSWR('/buying', get<Buying>);
export const useOrders = (): Resource<Items<Order>> => useList('/orders');

/** What runs want cut, and plans that are being cut. */
export const useCutting = (): Resource<Cutting> => useSWR('/cutting', get<Cutting>);

/** What the shelf allows of each figure; of a heap of fibres, what would use it up. */
export const useMakes = (heap: readonly string[], isAll: boolean): Resource<Makes> =>
  useSWR(
    `/makes?${new URLSearchParams({ heap: heap.join(','), ...(isAll && { all: 'yes' }) }).toString()}`,
    get<Makes>,
    { keepPreviousData: true },
  );

/** Who is paired is seen where the code is shown, without a press. */
const NETWORK_LOOKED_AT_MS = 3000;

/** How the studio stands to its network; asked again now and then while it is open. */
export const useNetwork = (): Resource<NetworkState> =>
  useSWR('/network', get<NetworkState>, {
    refreshInterval: (latest?: NetworkState) => (latest?.isOpened ? NETWORK_LOOKED_AT_MS : 0),
  });

export interface WritesShown {
  readonly device: string;
  readonly from: string;
  readonly to: string;
  readonly offset: number;
  readonly limit: number;
}

/** Without what is not asked for. */
export const writesQuery = ({ offset, limit, ...named }: WritesShown): string =>
  new URLSearchParams({
    ...Object.fromEntries(Object.entries(named).filter(([, value]) => value !== '')),
    offset: String(offset),
    limit: String(limit),
  }).toString();

/** Who did what. */
export const useWrites = (asked: WritesShown): Resource<WriteLogPage> =>
  useSWR(`/write-log?${writesQuery(asked)}`, get<WriteLogPage>, {
    keepPreviousData: true,
    refreshInterval: NETWORK_LOOKED_AT_MS,
  });

/** Who is named in classes. */
export const usePersons = (name: string): Resource<Persons> =>
  useSWR(`/persons?${new URLSearchParams({ name }).toString()}`, get<Persons>, { keepPreviousData: true });

export const usePackCodes = (runId: string): Resource<PackCodes> =>
  useSWR(`/runs/${runId}/codes`, get<PackCodes>);

/** Scales that can be weighed with. */
export const useScales = (): Resource<Items<ScaleInfo>> => useList('/scales');
