import { useState, useSyncExternalStore } from 'react';
import { Band, BandButton } from './Band';
import { onUpdate, updateNow } from './update';

/** Offers a newer Kolleta; it waits until the user says so. */
export function UpdateBand() {
  const update = useSyncExternalStore(onUpdate, updateNow);
  const [later, setLater] = useState(false);
  if (!update || later) return null;
  return (
    <Band tone="plain" label="A newer Kolleta">
      <p className="min-w-0 flex-1">
        <strong>A newer Kolleta is here.</strong> It loads when you say so; timers go on, and nothing is lost.
      </p>
      <BandButton onClick={() => void update()}>Load it now</BandButton>
      <BandButton onClick={() => setLater(true)}>Later</BandButton>
    </Band>
  );
}
