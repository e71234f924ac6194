import { describe, expect, it } from 'vitest'
import { isWhole, pressed, typed, type KeypadKind, type Units } from '@/lib/keypad'

function keyed(keys: string, kind: KeypadKind, units: Units = 'metric'): string {
  return keys.split(' ').reduce((text, key) => pressed(text, key, kind, units), '')
}

describe('the big keys', () => {
  it('read a tape as it is called: two, twelve', () => {
    expect(keyed('2 1 2', 'LENGTH')).toBe('2.12')
    expect(keyed('2 . 1 2', 'LENGTH')).toBe('2.12')
    expect(keyed('0 8 5', 'LENGTH')).toBe('0.85')
    expect(keyed('1 2 . 4 0', 'LENGTH')).toBe('12.40')
  })

  it('know when a figure is whole', () => {
    expect(isWhole('2.12', 'LENGTH', 'metric')).toBe(true)
    expect(isWhole('2.1', 'LENGTH', 'metric')).toBe(false)
    expect(isWhole('7′4″', 'LENGTH', 'imperial')).toBe(true)
    expect(isWhole('220', 'BEARING', 'metric')).toBe(true)
    expect(isWhole('42', 'LEVEL', 'metric')).toBe(true)
    expect(isWhole('10', 'LEVEL', 'metric')).toBe(false)
    expect(isWhole(keyed('full', 'LEVEL'), 'LEVEL', 'metric')).toBe(true)
    expect(isWhole('5600', 'KELVIN', 'metric')).toBe(true)
    expect(isWhole('1000', 'KELVIN', 'metric')).toBe(false)
  })

  it('send a length with its unit, so that it means the same whoever reads it', () => {
    expect(typed('2.12', 'LENGTH', 'metric')).toBe('2.12 m')
    expect(typed(keyed('7 ′ 4 ½ ″', 'LENGTH', 'imperial'), 'LENGTH', 'imperial')).toBe(`7'4 1/2"`)
    expect(typed('7', 'LENGTH', 'imperial')).toBe(`7'`)
    expect(typed(keyed('2 . 8 ⅓', 'STOP'), 'STOP', 'metric')).toBe('2.8 1/3')
  })

  it('turn a tilt over', () => {
    expect(keyed('2 5 up', 'TILT')).toBe('up25')
    expect(keyed('2 5 up down', 'TILT')).toBe('down25')
  })
})
