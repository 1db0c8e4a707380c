import type { DeviceRole, Role } from '@lanakit/core/api';

/** What somebody is called who may do what. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'Owner',
  helper: 'Helper',
  learner: 'Learner',
};

/** What a device may that is let in. */
export const DEVICE_MAY: Readonly<Record<DeviceRole, string>> = {
  owner: 'everything',
  helper: 'weigh, pack, count, needles; no prices, no patterns changed',
};
