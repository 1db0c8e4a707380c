import { isEqual } from '@lanakit/core/base';
import { checkMaking, type Making, MakingInput } from '@lanakit/core/logbook';
import { MAKING_TOUCHES } from '../../api/mutations/logbook.ts';
import type { Versioned } from '../../draft/DraftSaver.ts';
import { type RecipeDraft, useRecipeDraft } from '../../draft/useRecipeDraft.ts';
import type { Savable } from '../../draft/useSaver.ts';

const FIELDS = Object.keys(MakingInput.properties) as (keyof MakingInput)[];

/** What is written down, without its id and version. */
const makingInputOf = (making: MakingInput): MakingInput =>
  Object.fromEntries(FIELDS.map((field) => [field, making[field]])) as unknown as MakingInput;

const versioned = (making: Making): Versioned<MakingInput> => ({
  version: making.version,
  document: makingInputOf(making),
});

const savableMaking = (id: string): Savable<MakingInput> => ({
  path: `/makings/${id}`,
  check: checkMaking,
  isSame: isEqual,
  readStored: (stored) => versioned(stored as Making),
  touches: MAKING_TOUCHES,
});

export type MakingDraft = RecipeDraft<MakingInput>;

/** A page of the notebook being written. Mount it anew for another. */
export const useMakingDraft = (making: Making): MakingDraft =>
  useRecipeDraft(versioned(making), savableMaking(making.id));
