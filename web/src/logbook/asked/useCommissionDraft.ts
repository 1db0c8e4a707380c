import { isEqual } from '@lanakit/core/base';
import { checkCommission, type Commission, CommissionInput } from '@lanakit/core/commissions';
import { COMMISSION_TOUCHES } from '../../api/mutations/commissions.ts';
import type { Versioned } from '../../draft/DraftSaver.ts';
import { type RecipeDraft, useRecipeDraft } from '../../draft/useRecipeDraft.ts';
import type { Savable } from '../../draft/useSaver.ts';

const FIELDS = Object.keys(CommissionInput.properties) as (keyof CommissionInput)[];

const inputOf = (commission: CommissionInput): CommissionInput =>
  Object.fromEntries(FIELDS.map((field) => [field, commission[field]])) as unknown as CommissionInput;

const versioned = (commission: Commission): Versioned<CommissionInput> => ({
  version: commission.version,
  document: inputOf(commission),
});

const savable = (id: string): Savable<CommissionInput> => ({
  path: `/commissions/${id}`,
  check: checkCommission,
  isSame: isEqual,
  readStored: (stored) => versioned(stored as Commission),
  touches: COMMISSION_TOUCHES,
});

export type CommissionDraft = RecipeDraft<CommissionInput>;

/** What somebody asks for, being written. Mount it anew for another. */
export const useCommissionDraft = (commission: Commission): CommissionDraft =>
  useRecipeDraft(versioned(commission), savable(commission.id));
