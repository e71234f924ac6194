/** A device that keeps nothing, in place of its store. */
export const keep = () => Promise.resolve()
export const kept = () => Promise.resolve(undefined)
export const forgetRead = () => Promise.resolve()
export const unsentOf = () => Promise.resolve([])
export const keepUnsent = () => Promise.resolve(false)
export const dropUnsent = () => Promise.resolve()
export const takeTurn = () => Promise.resolve(true)
export const endTurn = () => Promise.resolve()
