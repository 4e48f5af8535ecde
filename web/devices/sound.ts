/** A short tone and a buzz; silent where the browser has neither. */
export function chime(): void {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    const level = audio.createGain();
    tone.frequency.value = 660;
    level.gain.setValueAtTime(0.2, audio.currentTime);
    level.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 1.2);
    tone.connect(level).connect(audio.destination);
    tone.onended = () => void audio.close();
    tone.start();
    tone.stop(audio.currentTime + 1.2);
    navigator.vibrate?.([200, 100, 200]);
  } catch {
    // A browser without sound still shows the time.
  }
}

const SPEAKS = 'sabor speaks';

/** Whether this browser can read out, and whether the tester wants it to. */
export const canSpeak = (): boolean => 'speechSynthesis' in globalThis;
export function wantsSpeech(): boolean {
  try {
    return canSpeak() && localStorage.getItem(SPEAKS) === 'yes';
  } catch {
    return false;
  }
}
export function setSpeech(on: boolean): void {
  try {
    localStorage.setItem(SPEAKS, on ? 'yes' : 'no');
  } catch {
    // Not kept; it still holds while the page is open.
  }
}

/** Reads a sentence out instead of whatever was being read. */
export function speak(text: string): void {
  if (!canSpeak()) return;
  speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(text);
  said.lang = 'en';
  speechSynthesis.speak(said);
}
