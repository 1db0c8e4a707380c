import { permissionState } from '../../pattern/index.ts';
import { rule } from '../rule.ts';

/** Rights, as they are recorded. */
export const RIGHTS_RULES = [
  rule('adapt_not_granted', 'rights', 'stumble', ({ pattern: { rights } }) =>
    rights.origin === 'derived' && permissionState(rights, 'adapt') !== 'granted' ? [{}] : [],
  ),
  rule('credit_missing', 'rights', 'stumble', ({ pattern: { rights } }) =>
    rights.origin !== 'own' && rights.credit.trim() === '' ? [{}] : [],
  ),
];
