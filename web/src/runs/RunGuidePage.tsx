import { apiPath } from '../api/studio.ts';
import type { OpenedRun } from '@lanakit/core/api';
import { guideOfRun } from '@lanakit/core/papers';
import { seatName, seatsOf } from '@lanakit/core/run';
import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRun } from '../api/queries.ts';
import { GuideSheets } from '../guide/GuideSheets.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { runInputOf } from './useRunDraft.ts';
import { designsOf, type Planned, useRunPlan } from './useRunPlan.ts';

/** The guide of a run: every piece of all its packs once, or those of one pack (`?pack=NUMBER`). */
export function RunGuidePage() {
  const { id = '' } = useParams();
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  return data ? <OfRun run={data} /> : <Loading error={error} />;
}

function OfRun({ run }: { run: OpenedRun }) {
  const asked = useMemo(() => runInputOf(run), [run]);
  const runPlan = useRunPlan(run.id, asked, run.frozen);
  if (runPlan.kind !== 'plan')
    return <Loading error={runPlan.kind === 'loading' ? runPlan.error : undefined} />;
  return <OfPlan run={run} runPlan={runPlan} />;
}

function OfPlan({ run, runPlan }: { run: OpenedRun; runPlan: Planned }) {
  const { input, revisions, wool } = runPlan;
  const [params] = useSearchParams();
  const [pack, setPack] = useState<number | null>(params.has('pack') ? Number(params.get('pack')) : null);
  const request = useMemo(() => guideOfRun(designsOf(revisions), input, pack), [revisions, input, pack]);
  if (!request) return <NotFound />;
  const packs =
    input.kind === 'kits'
      ? Array.from({ length: input.seats }, (_, at) => `Box ${at + 1}`)
      : seatsOf(input).map(seatName);
  return (
    <GuideSheets
      request={request}
      wool={wool}
      back={<Link to={`/runs/${run.id}`}>← {run.name}</Link>}
      base={apiPath(`/runs/${run.id}/guide`)}
      query={new URLSearchParams(pack === null ? {} : { pack: String(pack) })}
    >
      <Select<number>
        aria-label="Whose pieces"
        value={pack ?? 0}
        popupMatchSelectWidth={false}
        onChange={(number) => setPack(number === 0 ? null : number)}
        options={[
          { value: 0, label: 'all packs, each piece once' },
          ...packs.map((name, at) => ({ value: at + 1, label: name })),
        ]}
      />
    </GuideSheets>
  );
}
