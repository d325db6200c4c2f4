import {
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'

// Builds of the application stand beside one another in `.builds`, each in a folder named by its sources; `.built` leads
// to the one in force. A build is made beside and put in force in one step, and one that still runs is left alone: a
// second start never takes the files of the first away.

const folderName = '.builds'
const linkName = '.built'

/** Where the application in force lies. */
export function builtFolder(root) {
  return join(root, linkName)
}

/**
 * Puts the build of these sources in force, building it where it is not there yet.
 *
 * @param {string} root folder of the project
 * @param {string} sources what the sources are known by
 * @param {(into: string) => void} build makes a build in a folder
 * @returns {boolean} whether it had to be built
 */
export function putInForce(root, sources, build) {
  const name = sources.slice(0, 16)
  const builds = join(root, folderName)
  const place = join(builds, name)
  const isNew = !existsSync(place)
  if (isNew) {
    const coming = `${place}.coming-${process.pid}`
    mkdirSync(coming, { recursive: true })
    try {
      build(coming)
      if (existsSync(place)) rmSync(coming, { recursive: true })
      else renameSync(coming, place)
    } catch (error) {
      rmSync(coming, { recursive: true, force: true })
      throw error
    }
  }
  const link = join(root, `${linkName}-${process.pid}`)
  symlinkSync(join(folderName, name), link)
  renameSync(link, join(root, linkName))
  removeOld(builds, name)
  return isNew
}

/** Notes that a process runs from the build in force, so that nobody removes it. */
export function noteRunning(root, pid) {
  writeFileSync(join(builtFolder(root), `running-${pid}`), '')
}

/** Of the builds that nobody runs, the two that were in force last are kept. */
function removeOld(builds, current) {
  const idle = readdirSync(builds)
    .filter((name) => name !== current && !isRunning(join(builds, name)))
    .map((name) => ({ name, at: statSync(join(builds, name)).mtimeMs }))
    .sort((a, b) => b.at - a.at)
  for (const { name } of idle.slice(2)) rmSync(join(builds, name), { recursive: true, force: true })
}

function isRunning(folder) {
  return readdirSync(folder)
    .filter((name) => name.startsWith('running-'))
    .some((name) => isAlive(Number(name.slice('running-'.length))))
}

function isAlive(pid) {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return error.code === 'EPERM'
  }
}
