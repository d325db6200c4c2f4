import { sentenceOf, type ParamsOfProblem, type ProblemCode, type ProblemParams } from './problems'

/**
 * The one error of `core/`: a caller's mistake, with a code and parameters a program can act on, the sentence they make
 * (`problems.ts`), and the path of the offending value inside the input. An absence that is normal (no comps, no trend)
 * is in the return type instead.
 *
 * @example new CoreError('future-date', { day: '2027-01-01' }, 'day').message // '2027-01-01 is in the future'
 */
export class CoreError<Code extends ProblemCode = ProblemCode> extends Error {
  readonly params: ProblemParams

  constructor(
    readonly code: Code,
    params: ParamsOfProblem<Code>,
    readonly path = '',
    options?: { cause?: unknown },
  ) {
    super(sentenceOf(code, params), options)
    this.name = 'CoreError'
    this.params = params as ProblemParams
  }
}
