import { certificateFiles, fingerprintOf, keepCertificate, newCertificate } from './access/certificate.ts';
import { readConfig } from './config.ts';
import { hostNames } from './http/hostNames.ts';

/** `npm run certificate`: a certificate for this studio’s network, and what its devices are to trust. */
async function main(): Promise<number> {
  const config = readConfig({ ...process.env, PORT: '0' });
  if ('code' in config) return 1;
  process.umask(0o077);
  const names = [...hostNames('0.0.0.0', config.names)];
  const made = await newCertificate(names, new Date());
  keepCertificate(config.dataDir, made);
  const { authority } = certificateFiles(config.dataDir);
  console.log(
    [
      `Made for ${names.join(', ')}; good for 397 days. Start Lanakit anew: opened to its network it then speaks TLS.`,
      `Put ${authority} on each device of the studio and let it be trusted there (settings, certificates); what it shows as its SHA-256 must be`,
      `  ${fingerprintOf(made.authority)}`,
      'Without that a browser warns, and nobody should press on past a warning. The key it was signed with is gone: it can sign nothing else.',
    ].join('\n'),
  );
  return 0;
}

process.exitCode = await main();
