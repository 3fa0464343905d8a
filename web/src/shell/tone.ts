/** One short tone; the lower one is the deadline itself. Browsers keep silent until the page was touched once. */
export function tone(atDeadline: boolean): void {
  const audio = new AudioContext();
  const oscillator = audio.createOscillator();
  const gain = audio.createGain();
  oscillator.frequency.value = atDeadline ? 520 : 880;
  gain.gain.setValueAtTime(0.25, audio.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + (atDeadline ? 0.9 : 0.4));
  oscillator.connect(gain).connect(audio.destination);
  oscillator.start();
  oscillator.stop(audio.currentTime + 1);
  oscillator.onended = () => void audio.close();
}
