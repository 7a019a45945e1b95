import type { ActionResult, SubmitFunction } from '@sveltejs/kit';
import texts from '$texts/page';
import type { Say } from '$words';

/** What a page says of the last thing that was not done; empty when all is well. */
class Notice {
	text = $state('');
}

export const notice = new Notice();

/** Why something was not done that the server did not answer, or refused as such. */
export function refusalWords(
	{ status, error }: ActionResult & { type: 'error' },
	say: Say
): string {
	const said = status === undefined ? '' : ((error as { message?: string })?.message ?? '');
	return said || say(texts.theServerDoesNotAnswerTry);
}

/** For `use:enhance`: the page stays with all that is typed, whatever becomes of what was sent. */
export const stay =
	(say: Say): SubmitFunction =>
	() => {
		notice.text = '';
		return async ({ result, update }) => {
			if (result.type === 'error')
				notice.text = say(texts.notDone, { why: refusalWords(result, say) });
			else await update({ reset: false });
		};
	};
