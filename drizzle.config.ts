import { defineConfig } from 'drizzle-kit'

export default defineConfig({
  dialect: 'sqlite',
  schema: './server/db/schema/*.ts',
  casing: 'snake_case',
  out: './server/db/migrations',
})
