import { object } from 'yup'
import { name } from '../fields'

export const editionSchema = object({ name: name().max(80) })

export const variantSchema = object({ name: name().max(80) })
