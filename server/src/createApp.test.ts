import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { beforeAll, describe, expect, it } from 'vitest'
import { createApp } from './createApp'

let app: ReturnType<typeof createApp>
beforeAll(() => {
  const webDir = mkdtempSync(join(tmpdir(), 'frijol-web-'))
  mkdirSync(join(webDir, 'assets'))
  writeFileSync(join(webDir, 'index.html'), '<!doctype html><title>Frijol</title>')
  writeFileSync(join(webDir, 'assets', 'app.js'), 'export {}')
  app = createApp({ webDir, opensDemo: true })
})

describe('server', () => {
  it('tells that it is well and whether it opens the demo', async () => {
    const response = await request(app).get('/api/health').expect(200)
    expect(response.body).toEqual({ status: 'ok', opensDemo: true })
  })

  it('allows no inline script and no other origin', async () => {
    const response = await request(app).get('/').expect(200)
    const policy = response.headers['content-security-policy'] ?? ''
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'")
    expect(policy).toContain("default-src 'self'")
    expect(policy).not.toMatch(/https?:/)
    expect(/script-src[^;]*/.exec(policy)?.[0]).not.toContain('unsafe-inline')
    expect(response.headers['x-powered-by']).toBeUndefined()
  })

  it('falls back to the application for unknown pages', async () => {
    const response = await request(app).get('/dish/moussaka/mix').expect(200)
    expect(response.text).toContain('<title>Frijol</title>')
  })

  it('answers unknown api addresses with JSON', async () => {
    const response = await request(app).get('/api/nothing').expect(404)
    expect(response.body).toEqual({ error: 'There is no such address.' })
  })

  it('answers missing assets with JSON and no stack', async () => {
    const response = await request(app).get('/assets/none.js').expect(404)
    expect(response.text).not.toMatch(/at .*\.(?:ts|js):/)
    expect(response.body).toHaveProperty('error')
  })

  it('lets browsers keep assets and revalidate the page', async () => {
    const asset = await request(app).get('/assets/app.js').expect(200)
    expect(asset.headers['cache-control']).toContain('immutable')
    const page = await request(app).get('/').expect(200)
    expect(page.headers['cache-control']).toBe('no-cache')
  })

  it('refuses writing', async () => {
    await request(app).post('/dish').expect(405)
  })

  it('does not serve files outside its folder', async () => {
    const response = await request(app).get('/..%2f..%2fpackage.json')
    expect(response.text).not.toContain('"workspaces"')
  })
})
