import { planPurchase, PURCHASE_WAYS, type PackOffer, type PurchaseProblem } from '@lanakit/core/buying';
import { planLengths, planSheets } from '@lanakit/core/cutting';
import { highsSolvers } from '@lanakit/core/solving';
import { rowOf, type Row } from './measure.ts';

/** The same numbers again (Park and Miller 1988). */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}

/** Two hundred things of twenty runs, from eight suppliers in up to four packs each. */
function manyThings(): PurchaseProblem {
  const random = seeded(7);
  const suppliers = Array.from({ length: 8 }, (_, at) => ({
    supplierId: `s${at}`,
    carriageMinor: 300 + Math.floor(random() * 600),
    freeFromMinor: random() < 0.6 ? 3000 + Math.floor(random() * 6000) : null,
    minimumMinor: random() < 0.4 ? 1500 : null,
    arrivesOn: null,
  }));
  const offers: PackOffer[] = [];
  const needs = Array.from({ length: 200 }, (_, at) => {
    const itemId = `i${at}`;
    const base = 3 + random() * 6;
    const pack = (supplierId: string, amount: number): PackOffer => ({
      key: `${supplierId} ${itemId} ${amount}`,
      supplierId,
      name: '',
      reference: '',
      contents: [{ itemId, amount }],
      steps: [
        { from: 1, priceMinor: Math.round(base * amount * (1.2 - amount / 800) * (0.9 + random() * 0.2)) },
      ],
    });
    const selling = suppliers.filter(() => random() < 0.45);
    for (const { supplierId } of selling.length > 0 ? selling : suppliers.slice(0, 1))
      offers.push(
        pack(supplierId, 50),
        ...[25, 100, 250].filter(() => random() < 0.6).map((size) => pack(supplierId, size)),
      );
    return {
      itemId,
      tiers: [{ by: null, amount: Math.round(20 + random() * 400) }],
      isFromOne: random() < 0.2,
    };
  });
  return { needs, suppliers, offers, held: new Map() };
}

const seconds = (work: string, size: string, samples: readonly number[]): Row =>
  rowOf(
    work,
    size,
    samples.map((ms) => ms / 1000),
    's',
  );

/** Buying and cutting, each once as it is asked for, with its gap in words. */
export async function benchBuying(): Promise<Row[]> {
  const solvers = await highsSolvers();
  const problem = manyThings();
  const rows: Row[] = [];
  for (const way of PURCHASE_WAYS) {
    const begun = performance.now();
    let firstMs = NaN;
    const plan = planPurchase(problem, way, solvers.solve, {
      limitS: 10,
      onBetter: () => {
        if (Number.isNaN(firstMs)) firstMs = performance.now() - begun;
      },
    });
    const total = performance.now() - begun;
    const gap = plan.kind === 'planned' ? 1 - plan.atLeastMinor / Math.max(1, plan.purchase.totalMinor) : NaN;
    const proof = plan.kind === 'planned' && plan.isProven ? 'proven' : `within ${(gap * 100).toFixed(2)} %`;
    rows.push(seconds(`a purchase, ${way}: first good one`, '200 things, 8 suppliers', [firstMs]));
    rows.push(seconds(`a purchase, ${way}: ${proof}`, '200 things, 8 suppliers', [total]));
  }
  const lengths = Array.from({ length: 30 }, (_, at) => ({
    key: `p${at}`,
    lengthMm: 60 + ((at * 37) % 230),
    count: 10,
  }));
  const begunLengths = performance.now();
  const sticks = planLengths(
    {
      pieces: lengths,
      stocks: [{ key: 'bought', lengthMm: 1000, count: null }],
      kerfMm: 1,
      endWasteMm: 0,
      offcutFromMm: 50,
    },
    solvers,
    2,
  );
  rows.push(
    seconds(`lengths cut: ${sticks.bought} bought, at least ${sticks.atLeastBought}`, '300 of 30 sizes', [
      performance.now() - begunLengths,
    ]),
  );
  const random = seeded(3);
  const begunSheets = performance.now();
  const sheets = planSheets({
    pieces: Array.from({ length: 20 }, (_, at) => ({
      key: `p${at}`,
      lengthMm: 20 + Math.floor(random() * 120),
      widthMm: 20 + Math.floor(random() * 120),
      count: 10,
    })),
    stocks: [{ key: 'bought', lengthMm: 450, widthMm: 300, count: null }],
    mayTurn: true,
    kerfMm: 0,
    marginMm: 5,
    offcutFromMm: 50,
  });
  rows.push(
    seconds(`sheets cut: ${sheets.bought} bought, at least ${sheets.atLeastBought}`, '200 rectangles', [
      performance.now() - begunSheets,
    ]),
  );
  return rows;
}
