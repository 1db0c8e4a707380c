import {
  type Assortment,
  BLANK_SUPPLIER,
  type FibreInput,
  type FindingInput,
  type NeedleInput,
  type Offer,
  putUpAmount,
  type SupplierInput,
} from '@lanakit/core/shelf';

/** What the demo has put on the shelf, for the suppliers to offer. */
export interface DemoStock {
  readonly fibres: readonly { readonly id: string; readonly input: FibreInput }[];
  readonly findings: readonly { readonly id: string; readonly input: FindingInput }[];
  readonly needles: readonly { readonly id: string; readonly input: NeedleInput }[];
}

type Terms = Pick<
  SupplierInput,
  'minimumOrderMinor' | 'carriageMinor' | 'carriageFreeFromMinor' | 'leadDays' | 'note'
>;

const supplier = (
  name: string,
  terms: Terms,
  offers: Offer[],
  assortments: Assortment[] = [],
): SupplierInput => ({
  ...BLANK_SUPPLIER,
  name,
  ...terms,
  offers,
  assortments,
});

/** Findings by the put-up, needles by the ten and cheaper by the fifty. */
const smallThings = (findings: DemoStock['findings'], needles: DemoStock['needles']): Offer[] => [
  ...findings.flatMap(({ id, input }): Offer[] =>
    input.priceMinor === null
      ? []
      : [
          {
            itemId: id,
            packAmount: putUpAmount(input.measure),
            priceMinor: input.priceMinor,
            reference: '',
          },
        ],
  ),
  ...needles.flatMap(({ id, input }): Offer[] =>
    input.priceMinor === null
      ? []
      : [
          {
            itemId: id,
            packAmount: 10,
            priceMinor: Math.round(input.priceMinor * 9.2),
            reference: '',
            breaks: [{ fromPacks: 5, priceMinor: Math.round(input.priceMinor * 8) }],
          },
        ],
  ),
];

/** Four invented suppliers: wool by the big bag, by the small one, by the boatload, and small things. */
export function demoSuppliers({ fibres, findings, needles }: DemoStock): SupplierInput[] {
  const priced = fibres.flatMap(({ id, input }) =>
    input.pricePer100gMinor === null ? [] : [{ id, input, per100: input.pricePer100gMinor }],
  );
  const bigBags = priced
    .filter(({ input }) => input.preparation !== 'tops' && input.preparation !== 'locks')
    .flatMap(({ id, per100 }): Offer[] => [
      { itemId: id, packAmount: 100, priceMinor: per100, reference: '' },
      { itemId: id, packAmount: 500, priceMinor: Math.round(per100 * 4.2), reference: '' },
    ]);
  const smallBags = priced
    .filter(({ input }) => input.preparation !== 'core-batt')
    .flatMap(({ id, per100 }): Offer[] => [
      { itemId: id, packAmount: 50, priceMinor: Math.round(per100 * 0.56), reference: '' },
      { itemId: id, packAmount: 100, priceMinor: Math.round(per100 * 1.04), reference: '' },
    ]);
  const cheapBags = priced
    .filter(({ input }) => input.preparation === 'core-batt')
    .map(({ id, per100 }): Offer => ({
      itemId: id,
      packAmount: 1000,
      priceMinor: Math.round(per100 * 6),
      reference: '',
    }));
  const carded = priced.filter(({ input }) => input.preparation === 'carded').slice(0, 8);
  const colours: Assortment[] = [
    {
      name: 'Shore colours, 8 × 15 g',
      reference: '',
      priceMinor: Math.round(carded.reduce((sum, { per100 }) => sum + per100 * 0.15, 0) * 1.1),
      contents: carded.map(({ id }) => ({ itemId: id, amount: 15 })),
    },
  ];
  return [
    // So slow that it falls out of every plan, however little it asks.
    supplier('Skerry Fleece', { minimumOrderMinor: null, carriageMinor: 1200, carriageFreeFromMinor: null, leadDays: 56, note: 'by boat' }, cheapBags),
    supplier('Gannet Row Wools', { minimumOrderMinor: 2500, carriageMinor: 650, carriageFreeFromMinor: 7500, leadDays: 7, note: 'big bags; closed in August' }, bigBags),
    supplier('Two Piers Supply', { minimumOrderMinor: null, carriageMinor: 390, carriageFreeFromMinor: 4000, leadDays: 3, note: '' }, smallBags, colours),
    supplier('Lantern Hill Findings', { minimumOrderMinor: 1000, carriageMinor: 320, carriageFreeFromMinor: null, leadDays: 5, note: 'needles by the ten' }, smallThings(findings, needles)),
  ]; // prettier-ignore
}
