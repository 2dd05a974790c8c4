import { readdirSync } from 'node:fs'
import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

const features = readdirSync(`${import.meta.dirname}/src/features`)

// The walls: shared knows no feature; a feature reaches another only through its index.
const walls = (folder, patterns) => ({
  files: [`src/${folder}/**/*.{ts,tsx}`],
  rules: { 'no-restricted-imports': ['error', { patterns }] },
})

export default tseslint.config(
  { ignores: ['dist', 'src/shared/api/schema.ts'] },
  js.configs.recommended,
  ...tseslint.configs.recommendedTypeChecked,
  hooks.configs.flat['recommended-latest'],
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      'no-restricted-syntax': ['error', { selector: 'ExportDefaultDeclaration', message: 'Export by name.' }],
    },
  },
  { files: ['*.config.{js,ts}'], ...tseslint.configs.disableTypeChecked },
  { files: ['*.config.{js,ts}'], rules: { 'no-restricted-syntax': 'off' } },
  walls('shared', [{ group: ['**/features/**', '**/app/**'], message: 'shared knows no feature.' }]),
  ...features.map((f) =>
    walls(`features/${f}`, [
      {
        regex: '^\\.\\./(?!\\.\\./)[^/]+/.|/app/',
        message: 'Reach another feature through its index, never its inner files.',
      },
    ]),
  ),
  prettier,
)
