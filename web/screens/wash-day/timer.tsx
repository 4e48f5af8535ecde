import { useEffect, useState } from 'react';

const clock = (seconds: number) => {
  const s = Math.abs(Math.round(seconds));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
};

function chime(): void {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    const level = audio.createGain();
    tone.frequency.value = 660;
    level.gain.setValueAtTime(0.2, audio.currentTime);
    level.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 1.2);
    tone.connect(level).connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + 1.2);
    navigator.vibrate?.([200, 100, 200]);
  } catch {
    // A browser without sound still shows the time.
  }
}

/** Minutes since `startedAt`, or null when it has not begun. */
export const elapsedMinutes = (startedAt: string | null, now: number): number | null =>
  startedAt === null ? null : Math.max(0, (now - Date.parse(startedAt)) / 60_000);

/** Counts the step's minutes down on the wall clock, so that a reload or sleep does not stop it; overrun is shown. */
export function Timer({
  minutes,
  startedAt,
  start,
}: {
  minutes: number;
  startedAt: string | null;
  start: () => void;
}) {
  const [now, setNow] = useState(Date.now());
  const running = startedAt !== null;
  useEffect(() => {
    if (!running) return;
    const tick = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(tick);
  }, [running]);
  const left = minutes * 60 - (elapsedMinutes(startedAt, now) ?? 0) * 60;
  const over = running && left <= 0;
  const [told, setTold] = useState(over);
  useEffect(() => {
    if (over && !told) {
      setTold(true);
      chime();
    }
  }, [over, told]);
  if (!running)
    return (
      <button
        type="button"
        onClick={start}
        className="min-h-16 rounded-tag border-2 border-paper px-5 text-xl font-semibold"
      >
        Start {minutes} min
      </button>
    );
  return (
    <p className="flex items-baseline gap-3">
      <span className={`figure text-6xl ${over ? 'text-[#F2B765]' : ''}`} role="timer">
        {over ? '+' : ''}
        {clock(left)}
      </span>
      <span className="text-lg">{over ? `over ${minutes} min` : `left of ${minutes} min`}</span>
      <span className="sr-only" aria-live="assertive">
        {over ? 'Time is up.' : ''}
      </span>
    </p>
  );
}
