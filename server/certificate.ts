import { resolve } from 'node:path';
import { dataFolder } from './dataFolder';
import { FILES, makeCertificate, SERVER_DAYS } from './tls/certificate';

/* npm run certificate -- NAME [ADDRESS …]: the certificate under which tablets reach this machine, and how they come to trust it. */

async function main(): Promise<void> {
  const names = process.argv.slice(2);
  const files = await makeCertificate(resolve(dataFolder(), 'tls'), names);
  console.log(`The certificate for ${names.join(', ')} is good for ${SERVER_DAYS - 1} days. Start Utsuwa with

  HOST=0.0.0.0 UTSUWA_URL=https://${names[0]}:4680/ UTSUWA_TLS=${files.cert},${files.key} npm start

Each tablet has to trust this studio once: bring it ${files.root} (never ${FILES.rootKey}), then
  Android: Settings, Security, Install a certificate, CA certificate.
  iPad and iPhone: open the file, install the profile, then Settings, General, About, Certificate trust settings.
  Windows: open the file, Install, “Trusted root certification authorities”. Mac: Keychain Access, trust it always.
  Firefox: Settings, Privacy, Certificates, Import.`);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
