import { describe, expect, it } from 'vitest';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { matchColumns, readTable, writeTable } from '../../src/formats/csv';

describe('matching columns', () => {
  it.each([
    [
      'cloths',
      ['Name', 'GSM', 'Composition', 'Stretch'],
      { name: 'Name', arealDensity: 'GSM', fibres: 'Composition', stretchCross: 'Stretch' },
    ],
    ['cloths', ['fabric', 'weight g/m2', 'iron'], { name: 'fabric', arealDensity: 'weight g/m2', ironDots: 'iron' }],
    [
      'layers',
      ['Material', 'Kind', 'Form', 'Weight', 'Roll width'],
      { name: 'Material', family: 'Kind', form: 'Form', arealDensity: 'Weight', rollWidth: 'Roll width' },
    ],
    ['cloths', ['something', 'else'], {}],
  ] as const)('%s: %j', (kind, headings, mapping) => {
    expect(matchColumns(kind, headings)).toEqual(mapping);
  });
});

describe('reading a table', () => {
  it('takes any usual separator, units and decimal commas', () => {
    for (const separator of [',', ';', '\t']) {
      const rows = [
        ['name', 'weight', 'fibres', 'overhang mm'],
        ['Harbour check', '4 oz', '"55 linen, 45 cotton"', '5.2cm'],
      ].map((cells) => cells.join(separator));
      const { rows: read, sound } = readTable('cloths', rows.join('\n'));
      expect(sound).toBe(1);
      expect(read[0]!.record).toMatchObject({
        name: 'Harbour check',
        fibres: [
          { fibre: 'linen', percent: 55 },
          { fibre: 'cotton', percent: 45 },
        ],
        overhang: 52,
      });
      expect(read[0]!.record!['arealDensity']).toBeCloseTo(135.6, 1);
    }
  });

  it('gives every fault with its line and field, beside the rows that are sound', () => {
    const text =
      'name,weight,iron dots,fibres\nGood,150,2,cotton\n,150,2,cotton\nHot,150,7,cotton\nOdd,heavy,2,cobweb\nFine,90,1,silk';
    const { rows, sound, faulty } = readTable('cloths', text);
    expect([sound, faulty]).toEqual([2, 3]);
    expect(
      rows.filter(({ faults }) => faults.length > 0).map(({ row, faults }) => [row, faults.map(({ field }) => field)]),
    ).toEqual([
      [3, ['name']],
      [4, ['ironDots']],
      [5, ['arealDensity', 'fibres']],
    ]);
  });

  it('follows a mapping that the person made, and refuses one that cannot be', () => {
    const text = 'A,B\nSail,310';
    expect(readTable('cloths', text).sound).toBe(0);
    expect(readTable('cloths', text, { name: 'A', arealDensity: 'B' }).rows[0]!.record).toMatchObject({
      name: 'Sail',
      arealDensity: 310,
    });
    expect(() => readTable('cloths', text, { name: 'C' })).toThrow('mapping.name');
    expect(() => readTable('cloths', text, { colour: 'A' })).toThrow('mapping.colour');
  });

  it.each([
    ['nothing', ''],
    ['headings alone', 'name,weight'],
    ['too many rows', `name,weight\n${'a,100\n'.repeat(5001)}`],
    ['too many columns', `${Array.from({ length: 300 }, (_, i) => `c${i}`).join(',')}\n${','.repeat(299)}`],
  ])('refuses %s in plain words', (_words, text) => {
    expect(() => readTable('cloths', text)).toThrow('text');
  });

  it.each(['\u0000\u0001binary', '"unclosed,100\nnext,50', 'name\n=1+1', '{"json": true}'])(
    'never throws anything but plain words for %j',
    (text) => {
      try {
        const { rows } = readTable('cloths', text);
        expect(rows.every(({ faults, record }) => faults.length > 0 || record !== undefined)).toBe(true);
      } catch (error) {
        expect((error as Error).name).toBe('InputError');
      }
    },
  );
});

describe('there and back', () => {
  it('cloths are the same after a round trip', () => {
    const { rows, faulty } = readTable(
      'cloths',
      writeTable(
        'cloths',
        LIBRARY_CLOTHS.map((cloth) => ({ ...cloth, note: '' })),
      ),
    );
    expect(faulty).toBe(0);
    rows.forEach(({ record }, i) => {
      const { id: _id, ...cloth } = LIBRARY_CLOTHS[i]!;
      expect(record).toMatchObject(cloth);
    });
  });

  it('layers are the same after a round trip', () => {
    const kept = LIBRARY_LAYERS.map((layer) => ({
      ...layer,
      note: 'with, comma; and "quotes"',
      inStock: true,
      fibres: [
        { fibre: 'polyester', percent: 60 },
        { fibre: 'viscose', percent: 40 },
      ],
    }));
    const { rows, faulty } = readTable('layers', writeTable('layers', kept));
    expect(rows.filter(({ faults }) => faults.length > 0).map(({ name, faults }) => [name, faults])).toEqual([]);
    expect(faulty).toBe(0);
    rows.forEach(({ record }, i) => {
      const { id: _id, thickness, bendingLength, membraneStiffness, ...layer } = kept[i]!;
      expect(record).toMatchObject({ ...layer, pricePerMetre: layer.pricePerMetre });
      expect(record!['thickness'] as number).toBeCloseTo(thickness, 3);
      expect(record!['bendingLength'] as number).toBeCloseTo(bendingLength, 3);
      expect(record!['membraneStiffness'] as number).toBeCloseTo(membraneStiffness, 2);
    });
  });

  it('a name that a spreadsheet would take for a formula comes back as it was', () => {
    const odd = { ...LIBRARY_CLOTHS[0]!, name: '=SUM(A1)', note: '' };
    const text = writeTable('cloths', [odd]);
    expect(text).toContain("'=SUM(A1)");
    expect(readTable('cloths', text).rows[0]!.record!['name']).toBe('=SUM(A1)');
  });
});
