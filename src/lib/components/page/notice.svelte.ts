import type { ActionResult, SubmitFunction } from '@sveltejs/kit';

/** What a page says of the last thing that was not done; empty when all is well. */
class Notice {
	text = $state('');
}

export const notice = new Notice();

/** Why something was not done that the server did not answer, or refused as such. */
export function refusalWords({ status, error }: ActionResult & { type: 'error' }): string {
	const said = status === undefined ? '' : ((error as { message?: string })?.message ?? '');
	return said || 'The server does not answer. Try again in a moment.';
}

/** For `use:enhance`: the page stays with all that is typed, whatever becomes of what was sent. */
export const stay: SubmitFunction = () => {
	notice.text = '';
	return async ({ result, update }) => {
		if (result.type === 'error') notice.text = `Not done. ${refusalWords(result)}`;
		else await update({ reset: false });
	};
};
