import { useEffect, useRef, useState } from 'react';
import { formatDuration } from '@kolleta/core/units';
import { forgetAsked, keepOldClock, moveTimers, runningStarts, watchClock, type ClockQuestion } from '../storage/clockWatch';
import type { WorkshopState } from '../storage/useWorkshop';
import { useTell } from '../ui/toasts';
import { Band, BandButton } from './Band';

/** Asks when the device's clock does not go on from where it was. */
export function ClockBand({ state }: { state: WorkshopState }) {
  const [question, setQuestion] = useState<ClockQuestion>();
  const tell = useTell();
  const latest = useRef(state);
  latest.current = state;
  useEffect(() => watchClock(runningStarts(latest.current.events), setQuestion), []);
  if (!question) return null;
  const length = formatDuration(question.by / 60_000);
  const answer = (word: string, run?: () => Promise<void>) => () => {
    void (run?.() ?? Promise.resolve()).then(() => {
      // only what was answered and saved is forgotten
      forgetAsked();
      setQuestion(undefined);
      tell(word);
    });
  };
  if (question.kind === 'back')
    return (
      <Band tone="watch" label="The clock was set back">
        <p className="min-w-0 flex-1">
          <strong>The device’s clock shows {length} less than when Kolleta last saw it.</strong> Which was right? Timers and waits depend on
          it.
        </p>
        <BandButton onClick={answer('Timers that run stand where they stood.', () => moveTimers(-question.by))}>It is right now</BandButton>
        <BandButton onClick={answer(`Kolleta goes on ${length} ahead of the device.`, () => keepOldClock(question.by))}>
          It was right before
        </BandButton>
      </Band>
    );
  return (
    <Band tone="watch" label="A timer ran for long">
      <p className="min-w-0 flex-1">
        <strong>A timer ran on for {length} since Kolleta was last open.</strong> Has that time passed, or was the device’s clock put
        forward?
      </p>
      <BandButton onClick={answer('The timers stay as they are.')}>It has passed</BandButton>
      <BandButton onClick={answer('Timers that run stand where they stood.', () => moveTimers(question.by))}>
        The clock was changed
      </BandButton>
    </Band>
  );
}
