/** One format for the whole tree; `npm run format` writes it, `npm test` refuses what differs. */
export default {
  semi: false,
  singleQuote: true,
  printWidth: 110,
  plugins: ['prettier-plugin-tailwindcss'],
  tailwindStylesheet: './app/assets/css/main.css',
}
