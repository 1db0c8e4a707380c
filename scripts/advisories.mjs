// npm run advisories: known holes in what ships, where a registry answers; where none does, that is said, and nothing is claimed.
import { spawnSync } from 'node:child_process';
import { ROOT } from './prepare.mjs';

const { stdout, stderr } = spawnSync('npm', ['audit', '--omit=dev', '--json'], {
  cwd: ROOT,
  encoding: 'utf8',
});
const answer = (() => {
  try {
    return JSON.parse(stdout);
  } catch {
    return null;
  }
})();

if (!answer?.metadata) {
  console.log(
    `No registry told of advisories, so nothing is known of them: ${(answer?.message ?? stderr).trim().split('\n')[0]}`,
  );
} else {
  const { total, ...bySeverity } = answer.metadata.vulnerabilities;
  console.log(
    total === 0 ? 'No advisory on anything that ships.' : `Advisories: ${JSON.stringify(bySeverity)}`,
  );
  for (const { name, severity } of Object.values(answer.vulnerabilities))
    console.log(`  ${name}: ${severity}`);
  process.exitCode = total === 0 ? 0 : 1;
}
