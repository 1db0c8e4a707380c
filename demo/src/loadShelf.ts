import {
  BLANK_BLEND,
  blankLot,
  type BlendInput,
  type CountInput,
  type MovementInput,
} from '@lanakit/core/shelf';
import { type Services, todayOf } from '@lanakit/server/services';
import { DEMO_FINDINGS } from './findings.ts';
import { DEMO_NEEDLES, DEMO_TOOLS } from './needles.ts';
import { DEMO_BLENDS, type DemoFibre, demoFibres } from './shelf.ts';
import { type Clock, done } from './studio.ts';
import { demoSuppliers } from './suppliers.ts';
import type { DemoShelf } from './write.ts';

const DAYS_AGO = 70;

/** Puts the demo's shelf in place, with a ledger behind it, and gives what is on it by key and name. */
export function loadShelf(servicesAt: Clock, now: Date): Omit<DemoShelf, 'technique'> {
  const came = new Date(now);
  came.setDate(came.getDate() - DAYS_AGO);
  const [then, services] = [servicesAt(came), servicesAt(now)];
  const { items } = services;
  const ids = new Map<string, string>();
  const fibres = [...demoFibres(todayOf(came))].map(([key, fibre]) => {
    const id = putFibre(then, services, fibre);
    ids.set(key, id);
    return { id, input: fibre.input };
  });
  const wool: DemoShelf['fibre'] = (key) => {
    const id = ids.get(key);
    if (id === undefined) throw new Error(`the demo shelf has no ${key}`);
    return id;
  };
  for (const [key, name, parts, note] of DEMO_BLENDS) {
    const input: BlendInput = {
      ...BLANK_BLEND,
      name,
      note,
      parts: parts.map(([part, share]) => ({ itemId: wool(part), parts: share })),
    };
    ids.set(key, done(items.blend.put(input)).id);
  }
  const findings = DEMO_FINDINGS.map(({ input, onHand }) => ({
    id: done(items.finding.put(input, onHand)).id,
    input,
  }));
  // Counted once the class that has been has brought its needles back.
  const needles = DEMO_NEEDLES.map(({ input, onHand }) => ({
    id: done(items.needle.put(input)).id,
    input,
    onHand,
  }));
  for (const { input, onHand } of DEMO_TOOLS) done(items.tool.put(input, onHand));
  for (const supplier of demoSuppliers({ fibres, findings, needles })) done(items.supplier.put(supplier));
  blendSome(services, wool('tide-pool'), todayOf(now));
  done(then.stock.setHandMeasure({ name: 'pinch', massG: 0.115, lowG: 0.1, highG: 0.13 }));
  const finding = (name: string) => {
    const found = findings.find(({ input }) => input.name === name);
    if (!found) throw new Error(`the demo shelf has no ${name}`);
    return found.id;
  };
  const needle: DemoShelf['needle'] = (gauge, profile) => {
    const found = needles.find(({ input }) => input.gauge === gauge && input.profile === profile);
    if (!found) throw new Error(`the demo shelf has no ${gauge} ${profile}`);
    return found.id;
  };
  const needlesCounted = needles.flatMap(({ id, onHand }): CountInput[] =>
    onHand === null ? [] : [{ itemId: id, lotId: null, amount: onHand }],
  );
  return { fibre: wool, finding, needle, needlesCounted };
}

/** A fibre with its lots: what came then, what of it went into trying it out and into packs since. */
function putFibre(then: Services, now: Services, fibre: DemoFibre): string {
  const { id } = done(then.items.fibre.put(fibre.input));
  for (const { input, receivedG, sampleG, onHandG } of fibre.lots) {
    const { lotId } = done(then.stock.addLot(id, input, receivedG === 0 ? null : receivedG));
    const move = (amount: number, reason: MovementInput['reason']) => {
      if (amount !== 0) done(now.stock.move({ itemId: id, lotId, amount, reason, note: '' }));
    };
    move(sampleG, 'sample');
    move(receivedG - sampleG - onHandG, 'packed');
  }
  return id;
}

/** A lot of the octopus's blend, made some weeks ago from what came beside the rest. */
function blendSome({ stock }: Services, blendId: string, today: string): void {
  const input = { ...blankLot('first carding'), place: 'drawer 7', receivedOn: today };
  const { lotId } = done(stock.addLot(blendId, input, null));
  const note = 'blended before this ledger';
  done(stock.move({ itemId: blendId, lotId, amount: 32, reason: 'received', note }));
}
