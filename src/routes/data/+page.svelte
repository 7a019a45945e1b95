<script lang="ts">
	import { misfitText } from '$core/base';
	import { Button, FileUploader, InlineNotification, Modal } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import type { ActionResult } from '@sveltejs/kit';
	import { notice, refusalWords } from '$lib/components/page/notice.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import type { ActionData, PageData } from './$types';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/data';

	const say = useWords();

	let { data, form }: { data: PageData; form: ActionData } = $props();
	const misfit = $derived(form && 'misfit' in form ? form.misfit : undefined);
	type Backup = NonNullable<PageData['backups']>[number];
	const backups = $derived(data.backups);
	let asked: Backup | null = $state.raw(null);
	let restoring: HTMLFormElement | undefined = $state();
	let isBusy = $state(false);

	const REASONS: Record<Backup['reason'], string> = {
		daily: 'daily',
		migration: say(texts.beforeAnUpdate),
		import: say(texts.beforeAnImport),
		restore: say(texts.beforeARestore),
		asked: say(texts.byHand)
	};
	const when = (at: string) =>
		new Date(at).toLocaleString('en-GB', {
			weekday: 'short',
			day: 'numeric',
			month: 'long',
			hour: '2-digit',
			minute: '2-digit'
		});
	const words = $derived.by(() => {
		if (!form) return '';
		if ('imported' in form && form.imported) {
			const { teams, practices } = form.imported;
			return say(texts.importedWith, { teams, practiceCount: practices });
		}
		if ('copied' in form) return say(texts.backedUp);
		if ('restored' in form) return say(texts.restoredEverythingIsAsItWas);
		return '';
	});
	/** The buttons rest while the server copies, imports or goes back. */
	const busy = () => {
		isBusy = true;
		notice.text = '';
		return async ({ result, update }: { result: ActionResult; update: () => Promise<void> }) => {
			if (result.type === 'error')
				notice.text = say(texts.notDone, { why: refusalWords(result, say) });
			else await update();
			isBusy = false;
			asked = null;
		};
	};
</script>

<Page
	team={data.teams[0]}
	current="data"
	title={say(texts.data)}
	heading={say(texts.exportImportAndBackups)}
	narrow
>
	{#if misfit}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="error"
			role="alert"
			title={say(texts.nothingWasChanged)}
			subtitle={misfitText(misfit)}
		/>
	{:else if words}
		<InlineNotification lowContrast hideCloseButton kind="success" role="status" title={words} />
	{/if}
	<section>
		<h2>{say(texts.export)}</h2>
		<p>
			{say(texts.oneZipOfPlainJSONTeams)}
		</p>
		<Button size="small" href="/data/export" download="fieldplan.zip"
			>{say(texts.downloadEverything)}</Button
		>
	</section>
	<section>
		<h2>{say(texts.import)}</h2>
		<p>
			{say(texts.aFileThatWasExportedHere)}
		</p>
		<form method="POST" action="?/import" enctype="multipart/form-data" use:enhance={busy}>
			<FileUploader
				name="file"
				accept={['.zip']}
				labelTitle=""
				labelDescription={say(texts.zipSize)}
				buttonLabel={say(texts.chooseAFile)}
				kind="tertiary"
				size="small"
				status="complete"
			/>
			<Button type="submit" size="small" disabled={isBusy}>{say(texts.import)}</Button>
		</form>
	</section>
	{#if backups}
		<section>
			<h2>{say(texts.backups)}</h2>
			<p>
				{say(texts.everythingIsBackedUpEachDay)}
			</p>
			<form method="POST" action="?/copy" use:enhance={busy}>
				<Button type="submit" size="small" kind="tertiary" disabled={isBusy}
					>{say(texts.backUpNow)}</Button
				>
			</form>
			{#if backups.length > 0}
				<table>
					<thead>
						<tr
							><th scope="col">{say(texts.made)}</th><th scope="col">{say(texts.why)}</th><th
								scope="col">{say(texts.size)}</th
							><th><span class="bx--visually-hidden">{say(texts.restore)}</span></th></tr
						>
					</thead>
					<tbody>
						{#each backups as backup (backup.name)}
							<tr>
								<td>{when(backup.at)}</td>
								<td>{REASONS[backup.reason]}</td>
								<td>{say(texts.mB, { megabytes: (backup.bytes / 1e6).toFixed(1) })}</td>
								<td>
									<button type="button" class="link" onclick={() => (asked = backup)}
										>{say(texts.restore)}</button
									>
								</td>
							</tr>
						{/each}
					</tbody>
				</table>
			{:else}
				<p>{say(texts.thereIsNoBackupYetThe)}</p>
			{/if}
		</section>
	{:else}
		<section>
			<h2>{say(texts.backups)}</h2>
			<p>{say(texts.theDataIsOnAPostgreSQL)}</p>
		</section>
	{/if}
</Page>

{#if asked}
	<form method="POST" action="?/restore" bind:this={restoring} hidden use:enhance={busy}>
		<input type="hidden" name="copy" value={asked.name} />
	</form>
	<Modal
		open
		danger
		size="sm"
		modalHeading={say(texts.restoreTheBackupOf, { when: when(asked.at) })}
		primaryButtonText={isBusy ? say(texts.restoring) : say(texts.restore)}
		primaryButtonDisabled={isBusy}
		secondaryButtonText={say(texts.cancel)}
		on:click:button--secondary={() => (asked = null)}
		on:close={() => (asked = null)}
		on:submit={() => restoring?.requestSubmit()}
	>
		<p>
			{say(texts.restoringUndoes)}
		</p>
	</Modal>
{/if}

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
	table {
		border-collapse: collapse;
	}
	th {
		font-weight: 700;
	}
	th,
	td {
		text-align: left;
		font-size: 14px;
		padding: 4px 24px 4px 0;
		border-bottom: 1px solid var(--rule);
	}
	form {
		display: grid;
		gap: 12px;
		justify-items: start;
	}
</style>
