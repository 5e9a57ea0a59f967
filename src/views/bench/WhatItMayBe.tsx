import { useState } from 'react';
import { evidenceOf, pausedStops, pressedGrounds, type BenchPlan, type BenchState } from '../../core/bench';
import type { Point } from '../../core/shape';
import { causeId, rankCauses, SEEN_TROUBLES } from '../../core/techniques';
import Causes from '../../ui/Causes';
import WhereSeen from './WhereSeen';

interface Props {
  /** Ids of the troubles that the checks which are not ticked would be. */
  troubles: readonly string[];
  plan: BenchPlan;
  state: BenchState;
  /** Number of the job in its batch that is looked at. */
  work: number | undefined;
  /** What was found already, as `trouble/cause`. */
  found: readonly string[];
  onFound: (found: string, on: boolean) => void;
}

/** For what is not right: what it may be and what to do now, causes that this run speaks for first; at the place that is touched. */
export default function WhatItMayBe({ troubles, plan, state, work, found, onFound }: Props) {
  const [shown, setShown] = useState<string>();
  const [at, setAt] = useState<{ ground: number; place: Point }>();
  const open = SEEN_TROUBLES.filter(({ id }) => troubles.includes(id));
  const trouble = open.find(({ id }) => id === shown);
  if (open.length === 0) return null;
  // Only what may lie with a stop of the iron has a place that tells more.
  const grounds = trouble?.causes.some(({ evidence }) => evidence === 'stop-cut-short') ? pressedGrounds(plan, work) : [];
  const ground = at && grounds[at.ground];
  const known = evidenceOf(plan, state, work, ground && { ground, place: at.place });
  return (
    <section className="mx-auto mt-4 max-w-4xl text-left" aria-label="What is not right">
      <h3 className="text-lg font-semibold">Is one of these seen?</h3>
      <div className="mt-2 flex flex-wrap gap-2">
        {open.map(({ id, seen }) => (
          <button
            key={id}
            type="button"
            className="btn btn-outline h-auto! min-h-[44px] py-1 text-base!"
            aria-expanded={id === shown}
            onClick={() => {
              setShown(id === shown ? undefined : id);
              setAt(undefined);
            }}
          >
            {seen}
          </button>
        ))}
      </div>
      {trouble && (
        <div
          className="mt-3 rounded-box border-2 border-base-300 p-4 text-lg"
          role="region"
          aria-label={`What it may be: ${trouble.seen}`}
        >
          {grounds.map((each, i) => (
            <WhereSeen
              key={i}
              ground={each}
              paused={pausedStops(plan, state)}
              place={at?.ground === i ? at.place : undefined}
              onPlace={(place) => setAt(place && { ground: i, place })}
            />
          ))}
          <Causes
            causes={rankCauses(trouble, known)}
            found={trouble.causes.flatMap((cause) => (found.includes(causeId(trouble, cause)) ? cause.id : []))}
            onFound={(id, on) => onFound(causeId(trouble, { id }), on)}
          />
        </div>
      )}
    </section>
  );
}
