// Adds up the suites' reports and ends with "N passed, N failed"; a suite that did not run counts as failed.
import { readFileSync } from 'node:fs'

/** Passed and failed of a Vitest or a Playwright report. */
function counts(report) {
  if (report.stats) return [report.stats.expected + report.stats.flaky, report.stats.unexpected + report.errors.length]
  const broken = report.testResults.filter((r) => r.status === 'failed' && r.assertionResults.length === 0).length
  return [report.numPassedTests, report.numFailedTests + broken]
}

let [passed, failed] = [0, 0]
for (const file of process.argv.slice(2)) {
  try {
    const [p, f] = counts(JSON.parse(readFileSync(file, 'utf8')))
    passed += p
    failed += f + (p + f === 0 ? 1 : 0)
  } catch (e) {
    console.error(`${file}: ${e.message}`)
    failed += 1
  }
}
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
