/**
 * The least minute by which some work on one thing can be over, if it could be broken off at will: at every moment the work that
 * is ready and has most to come after it goes on (Jackson's preemptive schedule; Carlier 1982). A bound from below for work that
 * cannot be broken off.
 */
export interface OneMachine {
  /** @param count the first so many of the buffers */
  bound(count: number): number
  /** When each piece may begin, how long it takes, and what comes after it, minutes. Written by the caller. */
  readonly head: Float64Array
  readonly time: Float64Array
  readonly tail: Float64Array
}

/** Buffers for up to so many pieces of work, used again and again: a search asks a million times. */
export function oneMachine(most: number): OneMachine {
  const head = new Float64Array(most)
  const time = new Float64Array(most)
  const tail = new Float64Array(most)
  const order = new Int32Array(most)
  const left = new Float64Array(most)
  const bound = (count: number): number => {
    for (let i = 0; i < count; i++) {
      left[i] = time[i] as number
      let at = i
      // Insertion: the lists are short, and nearly in order.
      for (; at > 0 && (head[order[at - 1] as number] as number) > (head[i] as number); at--)
        order[at] = order[at - 1] as number
      order[at] = i
    }
    let now = 0
    let most = 0
    let arrived = 0
    for (let open = count; open > 0;) {
      let best = -1
      for (; arrived < count && (head[order[arrived] as number] as number) <= now; arrived++);
      for (let k = 0; k < arrived; k++) {
        const i = order[k] as number
        if ((left[i] as number) > 0 && (best < 0 || (tail[i] as number) > (tail[best] as number))) best = i
        else if (left[i] === 0) {
          // What takes no time is over as soon as it is ready.
          most = Math.max(most, Math.max(now, head[i] as number) + (tail[i] as number))
          left[i] = -1
          open--
        }
      }
      if (best < 0) {
        if (open === 0) break
        now = head[order[arrived] as number] as number
        continue
      }
      const until = arrived < count ? (head[order[arrived] as number] as number) : Infinity
      const worked = Math.min(left[best] as number, until - now)
      now += worked
      left[best] = (left[best] as number) - worked
      if ((left[best] as number) <= 1e-9) {
        left[best] = -1
        open--
        most = Math.max(most, now + (tail[best] as number))
      }
    }
    return most
  }
  return { bound, head, time, tail }
}
