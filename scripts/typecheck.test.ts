import { spawnSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import ts from 'typescript'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { root } from './lib/paths.mjs'

const scripts = (JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { scripts: Record<string, string> })
  .scripts
const command = scripts.typecheck!.split('&&').at(-1)!.trim()

/** Every source file that some project of the type check takes in. */
function filesSeen(): Set<string> {
  const { references } = ts.parseConfigFileTextToJson('', readFileSync(join(root, 'tsconfig.json'), 'utf8')).config as {
    references: { path: string }[]
  }
  const vue = [{ extension: 'vue', isMixedContent: true, scriptKind: ts.ScriptKind.Deferred }]
  return new Set(
    references.flatMap(({ path }) => {
      const file = join(root, path)
      const { config } = ts.readConfigFile(file, ts.sys.readFile) as { config: unknown }
      return ts.parseJsonConfigFileContent(config, ts.sys, join(file, '..'), undefined, file, undefined, vue).fileNames
    }),
  )
}

describe('the type check', () => {
  const place = mkdtempSync(join(tmpdir(), 'vindex-types-'))
  beforeAll(() => {
    mkdirSync(join(place, 'part'))
    symlinkSync(join(root, 'node_modules'), join(place, 'node_modules'))
    writeFileSync(join(place, 'tsconfig.json'), '{ "files": [], "references": [{ "path": "./part" }] }')
    const compilerOptions = { composite: true, noEmit: true, strict: true, types: [], skipLibCheck: true }
    writeFileSync(join(place, 'part', 'tsconfig.json'), JSON.stringify({ compilerOptions, include: ['*.ts'] }))
  })
  afterAll(() => rmSync(place, { recursive: true }))

  const check = (text: string) => {
    writeFileSync(join(place, 'part', 'wrong.ts'), text)
    const [program, ...given] = command.split(' ')
    const { status, stdout } = spawnSync(join(root, 'node_modules', '.bin', program!), given, { cwd: place })
    return { status, said: String(stdout) }
  }

  it('goes through the projects that are only referred to', () => {
    expect(check('export const depth: number = 0.6\n')).toEqual({ status: 0, said: '' })
    const { status, said } = check('export const depth: number = "0.6"\n')
    expect(status).not.toBe(0)
    expect(said).toContain('wrong.ts')
  })

  it('leaves no source file out', () => {
    const rooms = 'app core data server cli database evaluation shared tests bench scripts'.split(' ')
    const sources = rooms.flatMap((room) =>
      readdirSync(join(root, room), { recursive: true, encoding: 'utf8' })
        .filter((name) => /\.(ts|vue)$/.test(name))
        .map((name) => join(root, room, name)),
    )
    const seen = filesSeen()
    expect(sources.length).toBeGreaterThan(300)
    expect(sources.filter((file) => !seen.has(file))).toEqual([])
  })
})
