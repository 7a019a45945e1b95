import { nanoid } from 'nanoid';
import type { Surroundings } from '$core/model/bundle';
import type { Practice } from '$core/model/practice';
import { toContext, type Plan } from '$core/practice';
import type { Due } from '$lib/state/dueHere.svelte';
import { Planning } from '$lib/state/planning.svelte';
import texts from '$texts/plan';
import type { Say } from '$words';
import { draftInput } from '../draft/asked';
import { draftNames, usedDraft } from '../draft/draftWords';

/** Seconds that one draft may take. */
const SECONDS = 30;

/** What a practice is drafted from, as the server gives it. */
interface Given {
	stored: { revision: number; practice: Practice };
	surroundings: Surroundings;
	due: Due;
}

/** Drafts practices one after another, each stored by itself: stopping leaves those that are done. */
export class DraftAll {
	isRunning = $state(false);
	done = $state(0);
	count = $state(0);
	/** Days without a draft, with the last reason. */
	failed: { days: string[]; reason: string } = $state.raw({ days: [], reason: '' });
	#isStopped = false;
	readonly #planning: Planning<'draft'>;

	constructor(
		private readonly say: Say,
		planning: Planning<'draft'> = new Planning<'draft'>(say)
	) {
		this.#planning = planning;
	}

	stop(): void {
		this.#isStopped = true;
		this.#planning.stop();
	}

	close(): void {
		this.#isStopped = true;
		this.#planning.close();
	}

	async run(team: string, practices: readonly { id: string; date: string }[]): Promise<void> {
		this.isRunning = true;
		this.#isStopped = false;
		this.done = 0;
		this.count = practices.length;
		this.failed = { days: [], reason: '' };
		for (const { id, date } of practices) {
			if (this.#isStopped) break;
			const reason = await this.one(team, id).catch(() => this.say(texts.away));
			if (reason === null) this.done += 1;
			else if (!this.#isStopped) this.failed = { days: [...this.failed.days, date], reason };
		}
		this.isRunning = false;
	}

	/** Drafts and stores one practice; why that was not done, null where it was. */
	private async one(team: string, id: string): Promise<string | null> {
		const answer = await fetch(`/${team}/plan/${id}`);
		if (!answer.ok) return this.say(texts.away);
		const { stored, surroundings, due }: Given = await answer.json();
		const plan: Plan = { practice: stored.practice, context: toContext(surroundings) };
		const wishes = {
			arc: plan.practice.arc ?? 'build-up',
			stations: null,
			unitTime: false
		} as const;
		const of = {
			...draftInput(plan, { ...wishes, scrimmage: null, keep: [] }, due),
			alternatives: 1
		};
		const { say } = this;
		const question = {
			kind: 'draft' as const,
			input: { of, names: draftNames(say) },
			seconds: SECONDS
		};
		await this.#planning.ask(question);
		const { best: found, answers, trouble } = this.#planning;
		// What answers another question is a draft of another practice; one that was broken off is none.
		const [best] = answers === question && trouble === '' ? (found?.alternatives ?? []) : [];
		if (this.#isStopped || !best) return trouble || say(texts.withoutDraft);
		const edit = usedDraft(plan, best, say);
		const saved = await fetch(`/${team}/practices/${id}/edits`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ revision: stored.revision, edits: [{ id: nanoid(), edit }] })
		});
		if (saved.ok) return null;
		const { error }: { error?: { message: string } } = await saved.json();
		return error?.message ?? say(texts.away);
	}
}
