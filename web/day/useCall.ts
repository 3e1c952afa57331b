import { ref, watch, type Ref } from 'vue'

const key = 'imprenta.day-sound'

const hz = 660

/** A sound and a shake when something is due to be said, for hands that do not look: off until it is asked for on this device. `due` names what is
 *  due, or nothing. */
export function useCall(due: Ref<string | undefined>) {
  const on = ref(localStorage.getItem(key) === '1')
  let audio: AudioContext | undefined
  function call(): void {
    navigator.vibrate?.([180, 80, 180])
    audio ??= new AudioContext()
    const [tone, loud] = [audio.createOscillator(), audio.createGain()]
    tone.frequency.value = hz
    loud.gain.setValueAtTime(0.2, audio.currentTime)
    loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.5)
    tone.connect(loud).connect(audio.destination)
    tone.start()
    tone.stop(audio.currentTime + 0.5)
  }
  watch(due, (now, before) => on.value && now && now !== before && call())
  /** Turned on by a press: it is heard once, and the browser lets it sound from then on. */
  function toggle(): void {
    on.value = !on.value
    localStorage.setItem(key, on.value ? '1' : '0')
    if (on.value) call()
  }
  return { on, toggle }
}
