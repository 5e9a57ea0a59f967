import { useCallback } from 'react';
import { fabricOf } from '../../core/cloth';
import { identify, QUESTIONS, type Given } from '../../core/identify';
import type { NamedFabric } from '../../core/measure';
import { call } from '../../ui/api';
import IdentifyView from './IdentifyView';

const WORDS = {
  ...{ one: 'cloth', many: 'cloths', placeholder: 'Blue remnant from the market' },
  hint: '“Take it” puts a new cloth into your cupboard, described like the one beside it, and opens its test bench.',
};

/** What an unknown cloth may be. */
export default function ClothIdentify({ cloths }: { cloths: NamedFabric[] }) {
  const ask = useCallback((given: Given) => identify(cloths, given), [cloths]);
  const keep = async (id: string, name: string, looks: number) => {
    const like = cloths.find((cloth) => cloth.id === id)!;
    const made = await call<{ id: string }>('POST', '/api/cloths', {
      ...fabricOf(like),
      // These were never measured on this cloth; they are estimated from its description.
      overhang: undefined,
      thickness: undefined,
      name: name || `Unknown, like ${like.name.toLowerCase()}`,
      note: `Identified by ${looks} looks as like ${like.name}.`,
    });
    location.assign(`/cupboard/cloths/${made.id}`);
  };
  return (
    <IdentifyView title="What is this cloth?" words={WORDS} things={cloths} questions={QUESTIONS} identify={ask} onKeep={keep} />
  );
}
