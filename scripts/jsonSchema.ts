import type { SchemaDescription } from 'yup'

type Node = Record<string, unknown>
interface Described extends SchemaDescription {
  fields?: Record<string, Described>
  innerType?: Described
  optional: boolean
  nullable: boolean
}

/**
 * The shape of a Yup schema as JSON Schema: what a program outside needs to write such a file. Yup remains the judge
 * of the finer rules.
 */
export function jsonSchemaOf(schema: { describe(): unknown }, title: string): Node {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title,
    ...nodeOf(schema.describe() as Described),
  }
}

function nodeOf(field: Described): Node {
  const node = plainNode(field)
  if (!field.nullable) return node
  return { anyOf: [node, { type: 'null' }] }
}

function plainNode(field: Described): Node {
  const choices = (field.oneOf as unknown[]).filter((value) => value !== null)
  if (choices.length > 0) return { enum: choices }
  if (field.type === 'object' && field.fields && Object.keys(field.fields).length > 0) {
    const entries = Object.entries(field.fields)
    const required = entries
      .filter(([, inner]) => !inner.optional && inner.default === undefined)
      .map(([name]) => name)
    return {
      type: 'object',
      properties: Object.fromEntries(entries.map(([name, inner]) => [name, nodeOf(inner)])),
      ...(required.length > 0 ? { required } : {}),
    }
  }
  if (field.type === 'array')
    return { type: 'array', ...(field.innerType ? { items: nodeOf(field.innerType) } : {}) }
  if (field.type === 'mixed') return {}
  return { type: field.type }
}
