export { afterAsked, answerG, JUST_ASKED } from './asking.ts';
export {
  readScaleLine,
  SCALE_COMMANDS,
  SCALE_UNITS,
  scaleLine,
  type LineRead,
  type ScaleCommand,
  type ScaleLine,
  type ScaleUnit,
} from './protocol.ts';
export { afterLine, NO_SCALE, unplugged, type ScaleState } from './scaleState.ts';
export { SIMULATED_SCALE, simulatedScale, type ScaleAct } from './simulatedScale.ts';
export { afterReading, isContainer, isStillOn, READY, type Taking } from './taking.ts';
export {
  balanceOf,
  inHands,
  oddReading,
  type Balance,
  type InHands,
  type OddReading,
  type WantedMass,
} from './weighing.ts';
