import fontkit from '@pdf-lib/fontkit';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { PDFDocument, PDFFont } from 'pdf-lib';

const require = createRequire(import.meta.url);

/** The typeface of the application in its two parts, and one that knows what it lacks: eighths, arrows, Greek, Cyrillic. */
const FILES = {
  plain: [
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSans.ttf',
  ],
  bold: [
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf',
  ],
} as const;
type Weight = keyof typeof FILES;

/** A file and the letters that it has. */
interface Face {
  name: string;
  bytes: Uint8Array;
  has: (letter: string) => boolean;
}

const read = new Map<Weight, readonly Face[]>();

function facesOf(weight: Weight): readonly Face[] {
  let faces = read.get(weight);
  if (!faces) {
    faces = FILES[weight].map((file, i): Face => {
      const bytes = readFileSync(require.resolve(file));
      const { characterSet } = fontkit.create(bytes) as unknown as { characterSet: number[] };
      const known = new Set(characterSet);
      return { name: `Nembrel-${weight}-${i}`, bytes, has: (letter) => known.has(letter.codePointAt(0)!) };
    });
    read.set(weight, faces);
  }
  return faces;
}

/** Letters of one font in a row. */
export interface Run {
  font: PDFFont;
  letters: string;
}

/** The fonts of one weight in one document; only those that something is written with are put into it. */
export class Lettering {
  private readonly embedded = new Map<Face, PDFFont>();

  private constructor(private readonly faces: readonly Face[]) {}

  static async of(document: PDFDocument, weight: Weight): Promise<Lettering> {
    document.registerFontkit(fontkit);
    const lettering = new Lettering(facesOf(weight));
    for (const face of lettering.faces) {
      const options = { subset: true, customName: face.name, features: { liga: false, kern: true } };
      lettering.embedded.set(face, await document.embedFont(face.bytes, options));
    }
    return lettering;
  }

  /** Words as runs, each in the first font that has its letters; what none has is told as such a letter by the last. */
  runs(words: string): Run[] {
    const found: { face: Face; letters: string }[] = [];
    for (const letter of words) {
      const face = this.faces.find(({ has }) => has(letter)) ?? this.faces.at(-1)!;
      const last = found.at(-1);
      if (last?.face === face) last.letters += letter;
      else found.push({ face, letters: letter });
    }
    return found.map(({ face, letters }) => ({ font: this.embedded.get(face)!, letters }));
  }

  /** Width of words at a size, points. */
  width(words: string, size: number): number {
    return this.runs(words).reduce((sum, { font, letters }) => sum + font.widthOfTextAtSize(letters, size), 0);
  }
}
