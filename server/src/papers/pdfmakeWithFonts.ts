import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';

const fontFile = (weight: string): string =>
  join(
    dirname(createRequire(import.meta.url).resolve('@expo-google-fonts/source-sans-3/package.json')),
    weight,
    `SourceSans3_${weight}.ttf`,
  );

/** Nothing but the fonts is read, and nothing is fetched. */
export function pdfmakeWithFonts(): typeof pdfmake {
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path: string) => path.includes('source-sans-3'));
  pdfmake.setFonts({
    SourceSans: {
      normal: fontFile('400Regular'),
      bold: fontFile('600SemiBold'),
      italics: fontFile('400Regular'),
      bolditalics: fontFile('600SemiBold'),
    },
  });
  return pdfmake;
}

export const pointsOf = (mm: number): number => (mm * 72) / 25.4;
