// One project, so that Stryker can tell which test reaches which line; of one room, so that its own tests are asked.
import config from '../jest.config.js';

const { displayName: _name, ...core } = config.projects.find(({ displayName }) => displayName === 'core');
const { LANAKIT_ROOM: room, LANAKIT_TESTS: tests } = process.env;
export default {
  ...core,
  rootDir: '..',
  testTimeout: config.testTimeout,
  ...(room && {
    testMatch: [`<rootDir>/core/test/${room}/**/${tests ? `@(${tests})` : '*'}.test.ts`],
  }),
};
