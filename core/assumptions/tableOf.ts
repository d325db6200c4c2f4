/**
 * The figures of a table inside a group, such as the fault of a used part by role.
 * @example tableOf({ 'used.cpu': 0.02, 'new.cpu': 0.01 }, 'used') // { cpu: 0.02 }
 */
export function tableOf<Values extends Readonly<Record<string, number>>, Table extends string>(
  values: Values,
  table: Table,
): { readonly [Key in keyof Values as Key extends `${Table}.${infer Rest}` ? Rest : never]: number } {
  return Object.fromEntries(
    Object.entries(values)
      .filter(([key]) => key.startsWith(`${table}.`))
      .map(([key, value]) => [key.slice(table.length + 1), value]),
  ) as never
}
