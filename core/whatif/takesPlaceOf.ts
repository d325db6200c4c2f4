import type { Role } from '../parts/part'
import type { Scope } from '../ledger/scopes'
import { singleRoles } from './change'

/**
 * What would leave for something of these roles: of a role with room for one, what is chosen in the same scope and not
 * mine yet.
 *
 * @example a card comes, a card is hunted for and memory is chosen: the hunt leaves
 */
export const takesPlaceOf = <
  Chosen extends { readonly roles: readonly Role[]; readonly item: unknown; readonly scope: Scope },
>(
  choices: readonly Chosen[],
  roles: readonly Role[],
  scope: Scope = 'core',
): Chosen[] => {
  const single = roles.filter((role) => (singleRoles as readonly Role[]).includes(role))
  return choices.filter(
    (choice) =>
      choice.item === null &&
      scope !== 'test' &&
      choice.scope === scope &&
      choice.roles.some((role) => single.includes(role)),
  )
}
