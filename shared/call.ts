import type { InferType, ObjectSchema, Schema } from 'yup'

/** What is sent along with a call, and how it is taken. */
export interface Taken {
  /** The JSON body. */
  readonly body?: Schema
  /** What stands behind the `?`; texts, brought to the schema's types. */
  readonly query?: Schema
  /** The body is a file, as it is. */
  readonly file?: true
  /** What a body may hold at most, where it is not the usual: 1 MB, of a file 512 MB. */
  readonly mostBytes?: number
  /** It takes the writer's turn itself where it writes at all: it only reads, or it is long and lets others in between. */
  readonly ownTurn?: true
  /** Nothing of it stays: it is tried in a transaction that is taken back. */
  readonly isTrial?: true
  /** The answer is a file for the builder, or a stream; never kept, never JSON to be compared. */
  readonly raw?: true
}

/** A call whose answer is known; `answer` is there for the types alone. */
export type Call<Answer = unknown, T extends Taken = Taken> = T & { readonly answer?: readonly [Answer] }

/** A call with what it takes: `takes({ body: leadSchema }).answers<Made>()`. */
export function takes<const T extends Taken>(taken: T) {
  return { answers: <Answer>() => taken as Call<Answer, T> }
}

/** A call that takes nothing. */
export function answers<Answer>() {
  return takes({}).answers<Answer>()
}

/** What was made, or is meant. */
export interface Identified {
  readonly id: string
}

/** It was done, and there is nothing to say. */
export interface Done {
  readonly done: true
}

/** Removing and putting back, the two of them: `DELETE path/:id` and `POST path/:id/restore`. */
export function twins<const Path extends string>(path: Path) {
  return {
    [`DELETE ${path}/:id`]: answers<Identified>(),
    [`POST ${path}/:id/restore`]: answers<Identified>(),
  } as Record<`DELETE ${Path}/:id` | `POST ${Path}/:id/restore`, Call<Identified, object>>
}

type ParamName<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | ParamName<`/${Rest}`>
  : Path extends `${string}:${infer Name}`
    ? Name
    : never

/** The names in a path: of `/api/leads/:id` it is `{ id: string }`. */
export type PathParams<Path extends string> = { readonly [Name in ParamName<Path>]: string }

/** What a schema lets through. */
export type Checked<S> = S extends Schema ? InferType<S> : undefined

/** What a schema takes is only read: nothing of it is changed, however deep. */
type Given<T> = T extends readonly (infer Each)[]
  ? readonly Given<Each>[]
  : T extends object
    ? { readonly [Key in keyof T]: Given<T[Key]> }
    : T

type MayBeLeftOut<T, Defaults> = {
  [Key in keyof T]: undefined extends T[Key]
    ? Key
    : Key extends keyof Defaults
      ? Defaults[Key] extends undefined
        ? never
        : Key
      : never
}[keyof T]

type WithLeftOut<T, Optional extends keyof T> = Partial<Pick<T, Optional>> & Omit<T, Optional>

/** What a schema takes: a member with a default, or one that need not be there, may be left out. */
export type Sent<S> =
  S extends ObjectSchema<infer T, infer _Context, infer Defaults>
    ? Given<WithLeftOut<T, MayBeLeftOut<T, Defaults>>>
    : Checked<S>
