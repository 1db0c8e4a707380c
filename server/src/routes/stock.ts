import { checkRange } from '@lanakit/core/base';
import type { Problem } from '@lanakit/core/problems';
import {
  AMOUNT_BOUNDS,
  blankLot,
  type BlendLotMade,
  BlendLotMade as BlendLotMadeSchema,
  checkLot,
  CountInput,
  HandMeasureInput,
  LotInput,
  MovementInput,
  movementMilli,
  toMilli,
} from '@lanakit/core/shelf';
import { Type } from '@sinclair/typebox';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Route } from '../http/route.ts';
import type { RouteDeps } from './deps.ts';
import { ITEM_SPECS } from './itemSpecs.ts';
import { promisedAhead } from '../promisedAhead.ts';
import { todayOf } from './deps.ts';

const MOVEMENTS_SHOWN = 200;
const Id = Type.String({ minLength: 1, maxLength: 40 });
const strict = { additionalProperties: false } as const;

/** Lots, the ledger, blended lots, what hands take, and what runs ahead will take. */
export function stockRoutes({ store, now, newId }: RouteDeps): Route[] {
  const { items, stock } = store;
  const at = () => now().toISOString();
  const foundItem = (id: string) => {
    const item = items.kindOf(id);
    if (!item) throw new HttpProblem('not_found');
    return item;
  };
  const foundLot = (id: string) => {
    const lot = stock.findLot(id);
    if (!lot) throw new HttpProblem('not_found');
    return lot;
  };
  const whole = (itemId: string): unknown => ITEM_SPECS[foundItem(itemId).kind].find(store, itemId);
  const refuse = (problems: readonly Problem[]) => {
    if (problems.length > 0) throw contentProblem('content_invalid', problems);
  };
  /** A thing in lots moves by lot, any other by itself. */
  const misplaced = (
    { itemId, lotId }: { itemId: string; lotId: string | null },
    pointer: string,
  ): Problem[] => {
    const item = items.kindOf(itemId);
    if (!item) return [{ code: 'not_on_shelf', pointer: `${pointer}/itemId`, name: itemId }];
    const keeping = ITEM_SPECS[item.kind].stock;
    const isRight =
      keeping === 'lots'
        ? lotId !== null && stock.findLot(lotId)?.itemId === itemId
        : keeping === 'pieces' && lotId === null;
    if (isRight) return [];
    const lots = stock.lotsOf(itemId).map((lot) => lot.name);
    return [{ code: 'lot_not_found', pointer: `${pointer}/lotId`, name: lotId ?? '', lots }];
  };
  const otherNames = (itemId: string, lotId: string | null) =>
    stock
      .lotsOf(itemId)
      .filter((lot) => lot.id !== lotId)
      .map((lot) => lot.name);

  return [
    {
      method: 'post',
      path: '/stock/counts',
      summary: 'A stocktake: each count is entered as the difference to what the ledger says, all or none',
      body: Type.Object({ counts: Type.Array(CountInput, { minItems: 1, maxItems: 5000 }) }, strict),
      answers: [200],
      handle: ({ body }) => {
        const { counts } = body as { counts: CountInput[] };
        refuse(
          counts.flatMap((count, index) => [
            ...checkRange(count.amount, AMOUNT_BOUNDS, `/counts/${index}/amount`),
            ...misplaced(count, `/counts/${index}`),
          ]),
        );
        store.together(() => counts.forEach((count) => stock.enterCount(count, at())));
        return { status: 200, body: { items: counts.map(({ itemId }) => whole(itemId)) } };
      },
    },
    {
      method: 'post',
      path: '/stock/movements',
      summary: 'Something came or went: received, returned, packed, used in a sample, spoiled',
      body: MovementInput,
      answers: [201],
      handle: ({ body }) => {
        const movement = body as MovementInput;
        refuse([
          ...checkRange(movement.amount, { min: 0.001, max: AMOUNT_BOUNDS.max }, '/amount'),
          ...misplaced(movement, ''),
        ]);
        stock.enter({ ...movement, amountMilli: movementMilli(movement), at: at() });
        return { status: 201, body: whole(movement.itemId) };
      },
    },
    {
      method: 'get',
      path: '/stock/movements/:itemId',
      summary: 'The ledger of one thing, the newest first, at most 200 lines',
      answers: [200],
      handle: ({ params: { itemId = '' } }) => {
        foundItem(itemId);
        return { status: 200, body: { items: stock.movements(itemId, MOVEMENTS_SHOWN) } };
      },
    },
    {
      method: 'post',
      path: '/lots/of/:itemId',
      summary: 'A new lot of a fibre or blend, with what is there of it',
      body: Type.Object(
        { ...LotInput.properties, receivedG: Type.Union([Type.Number(), Type.Null()]) },
        strict,
      ),
      answers: [201],
      handle: ({ params: { itemId = '' }, body }) => {
        if (ITEM_SPECS[foundItem(itemId).kind].stock !== 'lots') throw new HttpProblem('not_found');
        const { receivedG, ...input } = body as LotInput & { receivedG: number | null };
        refuse([
          ...checkLot(input, otherNames(itemId, null)),
          ...(receivedG === null ? [] : checkRange(receivedG, AMOUNT_BOUNDS, '/receivedG')),
        ]);
        const lotId = newId();
        store.together(() => {
          stock.insertLot(lotId, itemId, input, at());
          if (receivedG !== null) {
            stock.enter({ itemId, lotId, amountMilli: toMilli(receivedG), reason: 'received', at: at() });
          }
        });
        return { status: 201, body: whole(itemId), location: `/api/lots/${lotId}` };
      },
    },
    {
      method: 'put',
      path: '/lots',
      summary: 'Change several lots at once, all or none: move them, re-price them',
      body: Type.Object(
        {
          lots: Type.Array(Type.Object({ id: Id, version: Type.Integer(), input: LotInput }, strict), {
            minItems: 1,
            maxItems: 5000,
          }),
        },
        strict,
      ),
      answers: [200],
      handle: ({ body }) => {
        const { lots } = body as { lots: { id: string; version: number; input: LotInput }[] };
        store.together(() => {
          lots.forEach(({ id, version, input }) => {
            const { itemId, lot } = foundLot(id);
            refuse(checkLot(input, otherNames(itemId, id)));
            if (!stock.updateLot(id, version, input, at())) {
              throw new HttpProblem('version_conflict', { id, yours: input, theirs: lot });
            }
          });
        });
        return { status: 200, body: { items: lots.map(({ id }) => foundLot(id).lot) } };
      },
    },
    {
      method: 'put',
      path: '/lots/:id',
      summary: 'Change a lot',
      body: LotInput,
      ifMatch: true,
      answers: [200],
      handle: ({ params: { id = '' }, body, version }) => {
        const { itemId, lot } = foundLot(id);
        const input = body as LotInput;
        refuse(checkLot(input, otherNames(itemId, id)));
        if (!stock.updateLot(id, version, input, at())) {
          throw new HttpProblem('version_conflict', { id, yours: input, theirs: lot });
        }
        const changed = foundLot(id).lot;
        return { status: 200, body: changed, version: changed.version };
      },
    },
    {
      method: 'delete',
      path: '/lots/:id',
      summary: 'Take away a lot that nothing ever moved in or out of',
      ifMatch: true,
      answers: [204],
      handle: ({ params: { id = '' }, version }) => {
        const { lot } = foundLot(id);
        if (lot.onHandG !== null) throw new HttpProblem('in_use', { uses: [] });
        if (!stock.removeLot(id, version, at())) {
          throw new HttpProblem('version_conflict', { id, yours: null, theirs: lot });
        }
        return { status: 204 };
      },
    },
    {
      method: 'post',
      path: '/blends/:id/lots',
      summary: 'Make a lot of a blend: what is weighed leaves its lots and comes into the new one',
      body: BlendLotMadeSchema,
      answers: [201],
      handle: ({ params: { id = '' }, body }) => {
        if (foundItem(id).kind !== 'blend') throw new HttpProblem('not_found');
        const made = body as BlendLotMade;
        const input: LotInput = { ...blankLot(made.name), note: made.note, place: made.place };
        refuse([
          ...checkLot(input, otherNames(id, null)),
          ...made.from.flatMap((one, index) => misplaced(one, `/from/${index}`)),
        ]);
        refuse(made.from.flatMap((one, index) => shortOf(one, `/from/${index}/massG`)));
        const lotId = newId();
        store.together(() => {
          stock.insertLot(lotId, id, input, at());
          for (const { itemId, lotId: fromId, massG } of made.from) {
            stock.enter({
              itemId,
              lotId: fromId,
              amountMilli: -toMilli(massG),
              reason: 'blended',
              note: made.name,
              at: at(),
            });
          }
          const sumMilli = made.from.reduce((sum, { massG }) => sum + toMilli(massG), 0);
          stock.enter({ itemId: id, lotId, amountMilli: sumMilli, reason: 'blended', at: at() });
        });
        return { status: 201, body: whole(id) };
      },
    },
    {
      method: 'get',
      path: '/promised',
      summary: 'What runs ahead will take of each fibre, and which runs',
      answers: [200],
      handle: () => ({ status: 200, body: { items: promisedAhead(store, todayOf(now())) } }),
    },
    {
      method: 'get',
      path: '/hand-measures',
      summary: 'What the maker’s wisp, pinch and tuft weigh',
      answers: [200],
      handle: () => ({ status: 200, body: { items: stock.handMeasures() } }),
    },
    {
      method: 'put',
      path: '/hand-measures',
      summary: 'Enter what a wisp, pinch or tuft was found to weigh',
      body: HandMeasureInput,
      answers: [200],
      handle: ({ body }) => {
        stock.setHandMeasure(body as HandMeasureInput, at());
        return { status: 200, body: { items: stock.handMeasures() } };
      },
    },
  ];

  function shortOf({ itemId, lotId, massG }: BlendLotMade['from'][number], pointer: string): Problem[] {
    const onHandG = stock.onHandHere(itemId, lotId) ?? 0;
    const name = items.kindOf(itemId)?.name ?? '';
    return massG > onHandG + 1e-9 ? [{ code: 'stock_short', pointer, name, onHandG, wantedG: massG }] : [];
  }
}
