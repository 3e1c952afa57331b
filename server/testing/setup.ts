import type { TestProject } from 'vitest/node'
import { startCluster } from './cluster'

declare module 'vitest' {
  export interface ProvidedContext {
    databaseUrl: string
  }
}

export default async function setup(project: TestProject): Promise<() => void> {
  const { url, stop } = await startCluster()
  project.provide('databaseUrl', url)
  return stop
}
