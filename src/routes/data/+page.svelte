<script lang="ts">
	import { Button, FileUploader, InlineNotification } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import Page from '$lib/components/page/Page.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();
	const misfit = $derived(form && 'misfit' in form ? form.misfit : undefined);
	const imported = $derived(form && 'imported' in form ? form.imported : undefined);
</script>

<Page team={data.teams[0]} current="data" title="Data" heading="Everything out and in" narrow>
	{#if misfit}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="error"
			title="Nothing was taken in."
			subtitle="{misfit.path} {misfit.message}"
		/>
	{:else if imported}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="success"
			title="Taken in:"
			subtitle="{imported.teams} {imported.teams === 1
				? 'team'
				: 'teams'} with {imported.practices} practices."
		/>
	{/if}
	<section>
		<h2>Out</h2>
		<p>
			One zip of plain JSON: teams, squads, grounds, kit, drills, practices, ledger and settings.
			The same data always gives the same file. It holds names of players: keep it where only you
			can read it.
		</p>
		<Button size="small" href="/data/export" download="fieldplan.zip"
			>Save everything as a file</Button
		>
	</section>
	<section>
		<h2>In</h2>
		<p>
			A file that was saved here comes back whole. A team that is here already is never overwritten:
			the file is refused and says which.
		</p>
		<form method="POST" enctype="multipart/form-data" use:enhance>
			<FileUploader
				name="file"
				accept={['.zip']}
				labelTitle=""
				labelDescription="A zip of at most 30 MB"
				buttonLabel="Choose a file"
				kind="tertiary"
				size="small"
				status="complete"
			/>
			<Button type="submit" size="small">Take it in</Button>
		</form>
	</section>
</Page>

<style>
	h2 {
		font-size: 15px;
		font-weight: 700;
	}
	section {
		border-top: 1px solid var(--rule);
		padding: 12px 0 18px;
		display: grid;
		gap: 10px;
		justify-items: start;
	}
	p {
		line-height: 1.4;
	}
	form {
		display: grid;
		gap: 12px;
		justify-items: start;
	}
</style>
