import { defineAsyncComponent, type Component } from 'vue'

const later: (() => Promise<unknown>)[] = []

/** A component that is read when it is first shown, or ahead with the views. */
export function lazy(read: () => Promise<{ default: Component }>) {
  later.push(read)
  return defineAsyncComponent(read)
}

/** Reads those of all views that were read so far. */
export function readLater(): Promise<unknown> {
  return Promise.allSettled(later.map((read) => read()))
}
