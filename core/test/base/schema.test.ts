import { describe, expect, test } from '@jest/globals';
import { Type } from '@sinclair/typebox';
import { Ajv } from 'ajv';
import { discriminated, Id, oneOf, orUnknown, strict } from '../../src/base/index.ts';

const ajv = new Ajv({ discriminator: true, allErrors: true });
const faultsOf = (schema: object, value: unknown): string[] => {
  const validate = ajv.compile(schema);
  return validate(value)
    ? []
    : (validate.errors ?? []).map(({ instancePath, keyword }) => `${instancePath} ${keyword}`);
};

const Size = discriminated('kind', [
  Type.Object({ kind: Type.Literal('ball'), diameterMm: Type.Number() }, strict),
  Type.Object({ kind: Type.Literal('limb'), lengthMm: Type.Number(), diameterMm: Type.Number() }, strict),
]);

describe('one of several, told apart by a word', () => {
  test.each([
    ['one kind', { kind: 'ball', diameterMm: 30 }, []],
    ['the other', { kind: 'limb', lengthMm: 50, diameterMm: 8 }, []],
    // The one wrong field, and not that it is no ball either.
    ['a field that is missing', { kind: 'limb', diameterMm: 8 }, [' required']],
    ['a field that is another’s', { kind: 'ball', diameterMm: 8, lengthMm: 1 }, [' additionalProperties']],
    ['a field of the wrong kind', { kind: 'ball', diameterMm: '8' }, ['/diameterMm type']],
    ['a kind that there is not', { kind: 'cube' }, [' discriminator']],
    ['no kind at all', { diameterMm: 8 }, [' required', ' discriminator']],
    ['no object', 'ball', [' type']],
  ])('%s', (_name, value, faults) => expect(faultsOf(Size, value).sort()).toEqual([...faults].sort()));
});

describe('a few words', () => {
  const Firmness = oneOf(['soft', 'firm', 'solid']);
  test.each([
    ['firm', []],
    ['Firm', [' enum']],
    ['', [' enum']],
    [null, [' type', ' enum']],
  ])('%j', (value, faults) => expect(faultsOf(Firmness, value).sort()).toEqual([...faults].sort()));
  test('the list that was given is not kept: who changes theirs changes nothing here', () => {
    const words = ['soft', 'firm'];
    const schema = oneOf(words);
    words.push('solid');
    expect(faultsOf(schema, 'solid')).toEqual([' enum']);
  });
});

test.each([
  ['known', 3, 0],
  ['unknown', null, 0],
  ['left out', undefined, 1],
  ['nought is known', 0, 0],
  ['a word', '3', 1],
])('a value or null: %s', (_name, value, faults) => {
  const schema = Type.Object({ grams: orUnknown(Type.Number()) }, strict);
  const found = faultsOf(schema, value === undefined ? {} : { grams: value });
  expect(found.length > 0).toBe(faults > 0);
});

test.each([
  ['body-coat', true],
  ['A_9', true],
  ['x'.repeat(40), true],
  ['x'.repeat(41), false],
  ['', false],
  ['a b', false],
  ['ä', false],
  ['a/b', false],
  ['a\n', false],
])('an id: %j', (id, isOne) => expect(faultsOf(Id, id).length === 0).toBe(isOne));
