import { permissionState, type Rights } from '../../pattern/index.ts';
import { rule } from '../rule.ts';

/** Rights, as they are recorded. */
export const RIGHTS_RULES = [
  rule('adapt_not_granted', 'rights', 'stumble', ({ pattern: { rights } }) =>
    rights.origin === 'derived' && permissionState(rights, 'adapt') !== 'granted' ? [{}] : [],
  ),
  rule('credit_missing', 'rights', 'stumble', ({ pattern: { rights } }) =>
    rights.origin !== 'own' && rights.credit.trim() === '' ? [{}] : [],
  ),
  rule('picture_uncredited', 'rights', 'stumble', ({ pattern }) =>
    pattern.pictures.flatMap(({ id, rights }) => (isUncredited(rights) ? [{ pictureId: id }] : [])),
  ),
  rule('technique_uncredited', 'rights', 'stumble', ({ pattern }) =>
    pattern.techniques.flatMap(({ id, rights }) => (isUncredited(rights) ? [{ techniqueUseId: id }] : [])),
  ),
  rule('outline_uncredited', 'rights', 'stumble', ({ pattern }) =>
    pattern.parts.flatMap(({ id, outlineRights }) =>
      outlineRights && isUncredited(outlineRights) ? [{ partId: id }] : [],
    ),
  ),
];

/** Somebody else’s, and nothing is to be printed of it. */
const isUncredited = ({ origin, credit }: Rights): boolean => origin !== 'own' && credit.trim() === '';
