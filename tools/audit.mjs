/**
 * Says what Oblume is made of: the age of each library, from the SBOMs (CycloneDX) of both halves, and the holes that are known in them,
 * where an advisory service answers. Java's libraries tell their age by the newest file in their archive; npm's by the registry.
 */
import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { homedir } from 'node:os'
import { join } from 'node:path'

const DAY_MS = 86_400_000
/** Archives that are built alike each time carry a date like 1980 in their files. */
const REAL_DATE = Date.parse('2005-01-01')
const SERVICE = process.env.OBLUME_ADVISORIES ?? 'https://api.osv.dev/v1/querybatch'
const PATIENCE_MS = 10_000

const [server, web] = process.argv.slice(2).map((file) => JSON.parse(readFileSync(file, 'utf8')))
const own = (c) => c.group === 'org.oblume' || c.name === 'oblume-web'
const libraries = [
  ...server.components.filter((c) => !own(c)).map((c) => ({ ...c, ecosystem: 'Maven', full: `${c.group}:${c.name}` })),
  ...web.components.filter((c) => !own(c)).map((c) => ({ ...c, ecosystem: 'npm', full: [c.group, c.name].filter(Boolean).join('/') })),
]

/** The newest date in the directory of a zip, read from its end. */
function newestIn(file) {
  const zip = readFileSync(file)
  let newest = 0
  for (let at = zip.indexOf('PK\x01\x02', 0, 'latin1'); at >= 0; at = zip.indexOf('PK\x01\x02', at + 4, 'latin1')) {
    const [time, day] = [zip.readUInt16LE(at + 12), zip.readUInt16LE(at + 14)]
    newest = Math.max(newest, Date.UTC(1980 + (day >> 9), ((day >> 5) & 15) - 1, day & 31, time >> 11))
  }
  return newest
}

function madeOn({ ecosystem, group, name, full, version }) {
  try {
    if (ecosystem === 'Maven') {
      const file = join(homedir(), '.m2/repository', group.replaceAll('.', '/'), name, version, `${name}-${version}.jar`)
      const at = existsSync(file) ? newestIn(file) : 0
      return at > REAL_DATE && at < Date.now() ? at : undefined
    }
    const times = execFileSync('npm', ['view', full, 'time', '--json'], { stdio: ['ignore', 'pipe', 'ignore'], timeout: PATIENCE_MS })
    return Date.parse(JSON.parse(times)[version])
  } catch {
    return undefined
  }
}

const aged = libraries.map((l) => ({ ...l, at: madeOn(l) })).sort((a, b) => (a.at ?? Infinity) - (b.at ?? Infinity))
for (const { ecosystem, full, version, at } of aged) {
  const age = at ? `${Math.round((Date.now() - at) / DAY_MS)} days` : 'age not known'
  console.log(`${age.padStart(14)}  ${ecosystem.padEnd(5)}  ${full} ${version}`)
}
console.log(`${aged.length} libraries; the age of ${aged.filter((l) => !l.at).length} is not known. An archive that is built alike each time may carry an older date.`)

try {
  const queries = libraries.map(({ full, version, ecosystem }) => ({ package: { name: full, ecosystem }, version }))
  const answer = await fetch(SERVICE, {
    method: 'POST',
    body: JSON.stringify({ queries }),
    signal: AbortSignal.timeout(PATIENCE_MS),
  })
  if (!answer.ok) throw new Error(`it answered ${answer.status}`)
  const { results } = await answer.json()
  const holes = libraries.flatMap((l, i) => (results[i].vulns ?? []).map((v) => `${v.id}: ${l.full} ${l.version}`))
  holes.forEach((hole) => console.log(hole))
  console.log(holes.length ? `${holes.length} holes are known.` : 'No hole is known in any of them.')
  process.exitCode = holes.length ? 1 : 0
} catch (failure) {
  console.log(`Whether there are known holes could not be asked: the advisory service does not answer (${failure.cause?.code ?? failure.message}).`)
}
