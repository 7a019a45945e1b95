import { beforeEach, inject } from 'vitest';

// Counted as skipped where no server could be started.
beforeEach(({ skip }) => skip(inject('postgresUrl') === '', 'no PostgreSQL is installed'));
