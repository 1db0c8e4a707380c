export {
  BLANK_NEEDLE,
  checkNeedle,
  NEEDLE_BOUNDS,
  NeedleInput,
  needleName,
  PROFILES,
  type Needle,
  type Profile,
} from './needle.ts';
