import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** What makes an answer of the core depend on more than its arguments. */
const impure = [
	['Math', 'random', 'Randomness is an argument: take a seed.'],
	['Date', 'now', 'Time is an argument.']
].map(([object, property, message]) => ({ object, property, message }));

export default ts.config(
	{ ignores: ['build/', '.svelte-kit/', 'node_modules/', 'data/', 'test-results/'] },
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	prettier,
	...svelte.configs.prettier,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/no-unused-vars': [
				'error',
				{ varsIgnorePattern: '^_', ignoreRestSiblings: true }
			],
			// Links of ours are plain paths: the application is served at the root.
			'svelte/no-navigation-without-resolve': 'off'
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: {
			parserOptions: { extraFileExtensions: ['.svelte'], parser: ts.parser, svelteConfig }
		}
	},
	{
		files: ['src/core/**/*.ts'],
		ignores: ['src/core/**/*.test.ts'],
		rules: {
			'no-restricted-properties': ['error', ...impure],
			'no-restricted-syntax': [
				'error',
				{ selector: 'ImportExpression', message: 'The core imports at the top only.' },
				{
					selector: "NewExpression[callee.name='Date'][arguments.length=0]",
					message: 'Time is an argument.'
				}
			],
			'no-restricted-imports': [
				'error',
				{
					patterns: [
						{
							regex:
								'^(svelte|@sveltejs|carbon-|\\$app|\\$lib|\\$env|node:|@electric-sql|comlink|ajv)',
							message: 'The core stands alone.'
						},
						{ regex: '^(\\.\\./)+(lib|routes|cli|doors|hooks)', message: 'The core stands alone.' }
					]
				}
			]
		}
	}
);
