/** A test that failed, by its file and title, and the first line of why. */
export interface Failure {
  test: string
  reason: string
}
export function failuresOfVitest(report: object): Failure[]
export function failuresOfPlaywright(report: object): Failure[]
export function failuresTold(failures: readonly Failure[]): string
