let context: AudioContext | undefined;

/** Whether the browser may show a notification. */
export const mayNotify = (): NotificationPermission => ('Notification' in window ? Notification.permission : 'denied');
/** Asks for it, once, when the user wants it. */
export const askToNotify = (): Promise<NotificationPermission> =>
  'Notification' in window ? Notification.requestPermission() : Promise.resolve('denied');

/** A short double tone, and a notification when the tab is behind others, where the browser allows them. */
export function ring(words: string): void {
  if (mayNotify() === 'granted' && document.visibilityState === 'hidden') {
    try {
      new Notification('Kolleta', { body: words, icon: './icon-192.png', tag: words });
    } catch {
      // phones allow notifications only from a service worker: the sound and the message have to do
    }
  }
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
