import type { Caution } from '../pattern/index.ts';

/** What is usually done first. No medical advice: the foot of the paper says whose word goes. */
export const FIRST_AID: Readonly<Partial<Record<Caution, readonly (readonly [what: string, first: string])[]>>> = {
  needle: [
    ['A prick', 'Let it bleed a little, wash with soap and water, cover it.'],
    ['A tip left in the skin', 'Do not dig for it. Keep it still; medical help. Keep the rest of the needle.'],
    ['A needle or a tip is missing', 'Nobody kneels or sits until it is found: mats, foam, the figure, clothes, the floor with a magnet. Write it down.'],
  ],
  blade: [['A cut', 'Press on it with something clean, raise it, cover it. Deep, wide or still bleeding after ten minutes: medical help.']],
  'wire-end': [['Something in the eye', 'Do not rub. Rinse with clean water; cover it; medical help.']],
  hot: [['A burn', 'Cool running water for twenty minutes, no ice, no grease; loosen rings. Larger than a coin, on face or hands, or blistered: medical help.']],
  glue: [['Glue on the skin', 'Do not pull. Warm soapy water and patience. In an eye or on lips: rinse, and medical help.']],
  'small-part': [['Something swallowed', 'Magnets, batteries or a child: medical help at once, and do not wait for signs.']],
  allergy: [['Skin itches, eyes water', 'Put the wool away, wash hands and face, fresh air. Trouble breathing or swelling of the face: the emergency number at once.']],
}; // prettier-ignore
