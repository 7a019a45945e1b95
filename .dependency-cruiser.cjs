/** Imports point one way: routes, then components and state and workers and server, then core. */
module.exports = {
	forbidden: [
		{
			name: 'no-circles',
			severity: 'error',
			from: {},
			to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }
		},
		{
			name: 'core-stands-alone',
			severity: 'error',
			from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
			to: {
				pathNot:
					'^src/(core|words)/|node_modules/(typebox|suncalc|date-fns|@date-fns/[a-z]+|d3-[a-z]+|javascript-lp-solver)/'
			}
		},
		{
			name: 'words-stand-below-all',
			comment: 'Texts know nothing of who says them.',
			severity: 'error',
			from: { path: '^src/words', pathNot: '\\.test\\.ts$' },
			to: { pathNot: '^src/words/|node_modules/@messageformat/' }
		},
		{
			name: 'messages-are-read-by-the-build',
			comment:
				'Only the command line, which is not built, and the server, whose use cases it runs, read messages as they run.',
			severity: 'error',
			from: { pathNot: '^src/(cli/|lib/server/say\\.ts$)|\\.test\\.ts$' },
			to: { path: '^src/words/read\\.ts$' }
		},
		{
			name: 'model-is-the-ground-floor',
			severity: 'error',
			from: { path: '^src/core/model', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/core/', pathNot: '^src/core/model/' }
		},
		{
			name: 'a-practice-before-it-is-played',
			comment: 'The value and its edits know nothing of playing, and playing nothing of building.',
			severity: 'error',
			from: { path: '^src/core/practice/', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/core/(playing|building|checks|season)/' }
		},
		{
			name: 'played-before-it-is-built',
			severity: 'error',
			from: { path: '^src/core/playing/', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/core/(building|checks|season)/' }
		},
		{
			name: 'doors-need-core-only',
			severity: 'error',
			from: { path: '^src/doors' },
			to: { path: '^src/(lib|routes|cli)' }
		},
		{
			name: 'server-draws-nothing',
			severity: 'error',
			from: { path: '^src/lib/server' },
			to: { path: '^src/(routes|cli|lib/components|lib/state)' }
		},
		{
			name: 'browser-keeps-off-the-server',
			severity: 'error',
			from: { path: '^src/lib/(components|state|workers)' },
			to: { path: '^src/(routes|cli|doors|lib/server)' }
		},
		{
			name: 'state-draws-nothing',
			severity: 'error',
			from: { path: '^src/lib/(state|workers)' },
			to: { path: '^src/lib/components' }
		},
		{
			name: 'folders-by-their-index',
			comment: 'From another folder of the core, a folder is used through its index.',
			severity: 'error',
			from: { path: '^src/core/([^/]+)/' },
			to: {
				path: '^src/core/(base|drill|sizing|grouping|rotation|clock|practice|playing|building|checks|season|conditions|ground|shelf|scene|staging)/',
				pathNot: ['^src/core/$1/', '^src/core/[^/]+/index\\.ts$']
			}
		},
		{
			name: 'core-by-its-indexes',
			comment: 'From outside, too: only the files of `model` have names of their own.',
			severity: 'error',
			from: { pathNot: '^src/core/' },
			to: { path: '^src/core/(?!model/)', pathNot: '^src/core/[^/]+/index\\.ts$' }
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.imports.json' },
		enhancedResolveOptions: {
			exportsFields: ['exports'],
			conditionNames: ['import', 'svelte', 'default']
		}
	}
};
