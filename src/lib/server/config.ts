/** What the environment says; each value has a default that suits one coach on one machine. */
export interface Config {
	dataDirectory: string;
	/** Address of a database on a PostgreSQL server; undefined for the embedded one in the data folder. */
	databaseUrl: string | undefined;
	/** Hosts, with port, under which the application may be asked for. */
	allowedHosts: ReadonlySet<string>;
	/** The day that the application takes for today; undefined for the calendar's, and the demo's own. */
	today: string | undefined;
}

/** Reads the configuration from environment variables. */
export function readConfig(env: Record<string, string | undefined>): Config {
	const port = env.PORT ?? '3000';
	const more = (env.FIELDPLAN_HOSTS ?? '').split(',').map((host) => host.trim());
	return {
		dataDirectory: env.FIELDPLAN_DATA || './data',
		databaseUrl: env.FIELDPLAN_DATABASE_URL || undefined,
		allowedHosts: new Set(
			[`localhost:${port}`, `127.0.0.1:${port}`, `[::1]:${port}`, ...more].filter(Boolean)
		),
		today: env.FIELDPLAN_TODAY || undefined
	};
}
