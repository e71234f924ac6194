// @vitest-environment node
import { readFileSync } from 'node:fs'
import { Packet } from 'sacn/dist/packet'
import { describe, expect, it } from 'vitest'

/** The packet that `core` encodes, octet by octet the same in its own test, as another implementation reads it. */
describe('a packet of ours, read by an independent decoder', () => {
  const packet = new Packet(
    Buffer.from(readFileSync('../core/src/test/resources/sacn/packet.hex', 'ascii').trim(), 'hex'),
  )

  it('has the universe, priority and sequence that were sent', () => {
    expect(packet.universe).toBe(63999)
    expect(packet.priority).toBe(100)
    expect(packet.sequence).toBe(200)
    expect(packet.options).toBe(0)
    expect(packet.cid.toString('hex')).toBe('0b1e55ed0000400080000123456789ab')
    expect(packet.sourceName).toContain('Oblume')
  })

  it('has all 512 slots', () => {
    expect(packet.propertyValueCount).toBe(513)
    const slots = packet.payloadAsBuffer!
    expect(slots).toHaveLength(512)
    expect([slots[0], slots[1], slots[2], slots[511]]).toEqual([255, 127, 0, 1])
  })
})
