import type { Construction, Fabric, Fibre, Fray, Sheerness, Surface, Tone, Water, Weave } from '../cloth';
import { slug } from './layers';

/** A named cloth of the library. */
export interface LibraryCloth extends Fabric {
  id: string;
  name: string;
}

type Row = [
  name: string,
  construction: Construction,
  weave: Weave,
  fibres: string,
  arealDensity: number,
  thickness: number,
  stretchLength: number,
  stretchCross: number,
  ironDots: number,
  water: Water,
  sheer: Sheerness,
  tone: Tone,
  surface: string,
  fray: Fray,
];

/** Fibres are written `cotton 55 linen 45`; surfaces as words with spaces between. */
const ROWS: Row[] = [
  ['Cotton voile', 'woven', 'plain', 'cotton 100', 62, 0.17, 1, 2, 3, 'safe', 'veiled', 'light', '', 'medium'],
  ['Cotton lawn', 'woven', 'plain', 'cotton 100', 75, 0.18, 1, 2, 3, 'safe', 'veiled', 'light', '', 'medium'],
  ['Cotton batiste', 'woven', 'plain', 'cotton 100', 85, 0.2, 1, 2, 3, 'safe', 'veiled', 'light', '', 'medium'],
  ['Shirting poplin', 'woven', 'plain', 'cotton 100', 115, 0.25, 1, 2, 3, 'safe', 'opaque', 'light', '', 'low'],
  ['Dark shirting poplin', 'woven', 'plain', 'cotton 100', 118, 0.25, 1, 2, 3, 'safe', 'opaque', 'dark', '', 'low'],
  ['Stretch shirting', 'woven', 'plain', 'cotton 96 elastane 4', 125, 0.28, 2, 14, 2, 'safe', 'opaque', 'light', '', 'low'],
  ['Chambray', 'woven', 'plain', 'cotton 100', 125, 0.28, 1, 2, 3, 'safe', 'opaque', 'mid', '', 'medium'],
  ['Oxford shirting', 'woven', 'plain', 'cotton 100', 150, 0.36, 1, 2, 3, 'safe', 'opaque', 'light', '', 'medium'],
  ['Quilting cotton', 'woven', 'plain', 'cotton 100', 142, 0.3, 1, 2, 3, 'safe', 'opaque', 'mid', '', 'medium'],
  ['Cotton flannel', 'woven', 'plain', 'cotton 100', 165, 0.6, 1, 3, 3, 'safe', 'opaque', 'mid', '', 'medium'],
  ['Seersucker', 'woven', 'plain', 'cotton 100', 125, 0.5, 2, 5, 3, 'safe', 'opaque', 'light', 'crinkled', 'medium'],
  ['Double gauze', 'woven', 'loose', 'cotton 100', 130, 0.6, 3, 6, 3, 'safe', 'opaque', 'light', 'crinkled', 'high'],
  ['Cheesecloth', 'woven', 'loose', 'cotton 100', 75, 0.35, 4, 8, 3, 'safe', 'veiled', 'light', 'crinkled', 'high'],
  ['Cotton eyelet', 'woven', 'eyelet', 'cotton 100', 110, 0.3, 1, 2, 3, 'safe', 'veiled', 'light', 'openwork', 'medium'],
  ['Cotton sateen', 'woven', 'satin', 'cotton 100', 150, 0.3, 1, 2, 3, 'safe', 'opaque', 'mid', '', 'medium'],
  ['Stretch cotton sateen', 'woven', 'satin', 'cotton 97 elastane 3', 200, 0.42, 2, 18, 2, 'safe', 'opaque', 'mid', '', 'medium'],
  ['Light linen', 'woven', 'plain', 'linen 100', 145, 0.36, 1, 2, 3, 'safe', 'opaque', 'light', '', 'high'],
  ['Medium linen', 'woven', 'plain', 'linen 100', 190, 0.45, 1, 2, 3, 'safe', 'opaque', 'mid', '', 'high'],
  ['Linen-cotton', 'woven', 'plain', 'linen 55 cotton 45', 170, 0.4, 1, 2, 3, 'safe', 'opaque', 'mid', '', 'medium'],
  ['Handkerchief linen', 'woven', 'plain', 'linen 100', 95, 0.25, 1, 2, 3, 'safe', 'veiled', 'light', '', 'high'],
  ['Light denim', 'woven', 'twill', 'cotton 100', 260, 0.55, 1, 2, 3, 'safe', 'opaque', 'dark', '', 'medium'],
  ['Denim', 'woven', 'twill', 'cotton 100', 380, 0.8, 1, 2, 3, 'safe', 'opaque', 'dark', '', 'medium'],
  ['Stretch denim', 'woven', 'twill', 'cotton 92 polyester 6 elastane 2', 330, 0.75, 2, 20, 2, 'safe', 'opaque', 'dark', '', 'medium'],
  ['Cotton drill', 'woven', 'twill', 'cotton 100', 250, 0.5, 1, 2, 3, 'safe', 'opaque', 'mid', '', 'low'],
  ['Gabardine', 'woven', 'twill', 'polyester 65 wool 35', 220, 0.45, 1, 3, 2, 'safe', 'opaque', 'dark', '', 'medium'],
  ['Duck canvas', 'woven', 'plain', 'cotton 100', 400, 0.75, 0, 1, 3, 'safe', 'opaque', 'mid', '', 'medium'],
  ['Light canvas', 'woven', 'plain', 'cotton 100', 270, 0.5, 1, 1, 3, 'safe', 'opaque', 'light', '', 'medium'],
  ['Waxed canvas', 'coated', 'plain', 'cotton 90 other 10', 420, 0.7, 0, 1, 0, 'resists', 'opaque', 'dark', 'coated', 'low'],
  ['Fine corduroy', 'woven', 'pile', 'cotton 100', 210, 0.9, 1, 3, 2, 'safe', 'opaque', 'mid', 'pile', 'medium'],
  ['Cotton velvet', 'woven', 'pile', 'cotton 100', 300, 1.4, 1, 2, 1, 'spots', 'opaque', 'dark', 'pile', 'high'],
  ['Silk velvet', 'woven', 'pile', 'viscose 80 silk 20', 180, 1, 1, 3, 1, 'spots', 'opaque', 'dark', 'pile', 'high'],
  ['Silk chiffon', 'woven', 'crepe', 'silk 100', 38, 0.14, 2, 4, 1, 'spots', 'sheer', 'light', '', 'high'],
  ['Polyester chiffon', 'woven', 'crepe', 'polyester 100', 55, 0.16, 2, 4, 1, 'safe', 'sheer', 'mid', '', 'high'],
  ['Silk organza', 'woven', 'plain', 'silk 100', 30, 0.1, 0, 1, 2, 'spots', 'sheer', 'light', '', 'high'],
  ['Polyester organza', 'woven', 'plain', 'polyester 100', 32, 0.1, 0, 1, 1, 'safe', 'sheer', 'light', '', 'high'],
  ['Silk charmeuse', 'woven', 'satin', 'silk 100', 80, 0.18, 1, 3, 1, 'spots', 'opaque', 'light', '', 'high'],
  ['Silk dupion', 'woven', 'plain', 'silk 100', 110, 0.22, 0, 1, 2, 'spots', 'opaque', 'mid', '', 'high'],
  ['Crepe de chine', 'woven', 'crepe', 'polyester 100', 95, 0.22, 2, 5, 1, 'safe', 'veiled', 'mid', '', 'medium'],
  ['Polyester satin', 'woven', 'satin', 'polyester 100', 130, 0.2, 1, 2, 1, 'safe', 'opaque', 'light', '', 'high'],
  ['Viscose challis', 'woven', 'plain', 'viscose 100', 120, 0.25, 2, 4, 2, 'safe', 'opaque', 'mid', '', 'medium'],
  ['Wool crepe', 'woven', 'crepe', 'wool 100', 240, 0.7, 3, 6, 2, 'safe', 'opaque', 'dark', '', 'medium'],
  ['Wool suiting', 'woven', 'twill', 'wool 98 elastane 2', 270, 0.5, 1, 5, 2, 'safe', 'opaque', 'dark', '', 'medium'],
  ['Tweed', 'woven', 'loose', 'wool 100', 350, 1.1, 3, 5, 2, 'safe', 'opaque', 'mid', 'lofty', 'high'],
  ['Wool coating', 'woven', 'twill', 'wool 80 polyester 20', 480, 1.9, 2, 4, 2, 'safe', 'opaque', 'dark', 'lofty', 'low'],
  ['Felted wool', 'nonwoven', 'other', 'wool 100', 360, 1.8, 4, 6, 2, 'safe', 'opaque', 'dark', '', 'low'],
  ['Craft felt', 'nonwoven', 'other', 'polyester 100', 180, 1.1, 5, 8, 1, 'safe', 'opaque', 'mid', '', 'low'],
  ['Sequin mesh', 'net', 'other', 'polyester 100', 220, 0.8, 4, 8, 0, 'safe', 'veiled', 'mid', 'beaded', 'medium'],
  ['Soft tulle', 'net', 'other', 'nylon 100', 22, 0.15, 4, 12, 1, 'safe', 'sheer', 'light', 'openwork', 'low'],
  ['Stiff net', 'net', 'other', 'nylon 100', 40, 0.25, 2, 4, 1, 'safe', 'sheer', 'mid', 'openwork', 'low'],
  ['Corded lace', 'net', 'other', 'cotton 70 nylon 30', 130, 0.6, 3, 6, 1, 'safe', 'sheer', 'light', 'openwork', 'medium'],
  ['Light cotton jersey', 'knit', 'jersey', 'cotton 100', 150, 0.45, 12, 35, 3, 'safe', 'opaque', 'light', '', 'low'],
  ['Cotton-elastane jersey', 'knit', 'jersey', 'cotton 95 elastane 5', 200, 0.6, 25, 50, 2, 'safe', 'opaque', 'mid', '', 'low'],
  ['Viscose jersey', 'knit', 'jersey', 'viscose 95 elastane 5', 210, 0.5, 30, 60, 2, 'safe', 'opaque', 'dark', '', 'low'],
  ['Interlock', 'knit', 'jersey', 'cotton 100', 220, 0.8, 15, 40, 3, 'safe', 'opaque', 'light', '', 'low'],
  ['Rib knit', 'knit', 'rib', 'cotton 95 elastane 5', 240, 1, 20, 90, 2, 'safe', 'opaque', 'mid', '', 'low'],
  ['Ponte knit', 'knit', 'jersey', 'viscose 65 nylon 30 elastane 5', 320, 0.9, 15, 30, 2, 'safe', 'opaque', 'dark', '', 'low'],
  ['Sweatshirt fleece', 'knit', 'fleece', 'cotton 80 polyester 20', 290, 1.5, 10, 25, 2, 'safe', 'opaque', 'mid', 'lofty', 'low'],
  ['Polar fleece', 'knit', 'fleece', 'polyester 100', 250, 2.4, 10, 30, 1, 'resists', 'opaque', 'mid', 'lofty', 'low'],
  ['Sweater knit', 'knit', 'sweater', 'wool 50 acrylic 50', 330, 2.2, 20, 45, 2, 'safe', 'opaque', 'mid', 'lofty', 'medium'],
  ['Swimwear knit', 'knit', 'jersey', 'nylon 80 elastane 20', 200, 0.6, 60, 80, 1, 'resists', 'opaque', 'dark', '', 'low'],
  ['Terry towelling', 'woven', 'terry', 'cotton 100', 420, 2.6, 3, 6, 3, 'safe', 'opaque', 'light', 'looped', 'medium'],
  ['Waffle cotton', 'woven', 'other', 'cotton 100', 240, 1.4, 6, 10, 3, 'safe', 'opaque', 'light', 'lofty', 'medium'],
  ['Faux leather', 'coated', 'other', 'polyurethane 60 polyester 40', 430, 0.9, 4, 8, 0, 'resists', 'opaque', 'dark', 'coated', 'low'],
  ['Garment suede', 'leather', 'other', 'other 100', 480, 0.9, 4, 6, 0, 'spots', 'opaque', 'mid', '', 'low'],
  ['Showerproof nylon', 'coated', 'plain', 'nylon 100', 75, 0.12, 0, 1, 1, 'resists', 'opaque', 'mid', 'coated', 'medium'],
  ['Laminated cotton', 'coated', 'plain', 'cotton 70 polyurethane 30', 210, 0.35, 1, 2, 0, 'resists', 'opaque', 'light', 'coated', 'low'],
  ['Viscose lining twill', 'woven', 'twill', 'viscose 100', 95, 0.16, 1, 2, 2, 'safe', 'opaque', 'dark', '', 'medium'],
  ['Light viscose lining', 'woven', 'plain', 'viscose 100', 78, 0.13, 1, 2, 2, 'safe', 'opaque', 'light', '', 'medium'],
  ['Polyester lining', 'woven', 'plain', 'polyester 100', 70, 0.12, 1, 2, 1, 'safe', 'opaque', 'mid', '', 'medium'],
  ['Tricot lining', 'knit', 'jersey', 'polyester 92 elastane 8', 95, 0.25, 25, 45, 1, 'safe', 'opaque', 'mid', '', 'low'],
];

function parseFibres(text: string): Fabric['fibres'] {
  const words = text.split(' ');
  const shares: Fabric['fibres'] = [];
  for (let i = 0; i < words.length; i += 2) shares.push({ fibre: words[i] as Fibre, percent: Number(words[i + 1]) });
  return shares;
}

/** The starting library of cloths. Typical figures; stiffness is estimated until the person measures it. */
export const LIBRARY_CLOTHS: readonly LibraryCloth[] = ROWS.map((r) => ({
  id: slug(r[0]),
  name: r[0],
  construction: r[1],
  weave: r[2],
  fibres: parseFibres(r[3]),
  arealDensity: r[4],
  thickness: r[5],
  stretchLength: r[6],
  stretchCross: r[7],
  ironDots: r[8],
  water: r[9],
  sheer: r[10],
  tone: r[11],
  surface: r[12] === '' ? [] : (r[12].split(' ') as Surface[]),
  fray: r[13],
}));
