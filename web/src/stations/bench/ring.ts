let context: AudioContext | undefined;

/** A short double tone, where the browser allows sound. */
export function ring(): void {
  try {
    context ??= new AudioContext();
    const at = context.currentTime;
    [0, 0.28].forEach((delay, i) => {
      const tone = context!.createOscillator();
      const volume = context!.createGain();
      tone.frequency.value = i === 0 ? 660 : 880;
      volume.gain.setValueAtTime(0.0001, at + delay);
      volume.gain.exponentialRampToValueAtTime(0.25, at + delay + 0.02);
      volume.gain.exponentialRampToValueAtTime(0.0001, at + delay + 0.24);
      tone.connect(volume).connect(context!.destination);
      tone.start(at + delay);
      tone.stop(at + delay + 0.26);
    });
  } catch {
    // no sound here: the message on the screen has to do
  }
}
