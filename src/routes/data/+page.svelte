<script lang="ts">
	import { Button, FileUploader, InlineNotification, Modal } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import type { ActionResult } from '@sveltejs/kit';
	import { notice, refusalWords } from '$lib/components/page/notice.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();
	const misfit = $derived(form && 'misfit' in form ? form.misfit : undefined);
	type Backup = NonNullable<PageData['backups']>[number];
	const backups = $derived(data.backups);
	let asked: Backup | null = $state.raw(null);
	let restoring: HTMLFormElement | undefined = $state();
	let isBusy = $state(false);

	const REASONS: Record<Backup['reason'], string> = {
		daily: 'daily',
		migration: 'before an update',
		import: 'before an import',
		restore: 'before a restore',
		asked: 'by hand'
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
			return `Imported ${teams === 1 ? '1 team' : `${teams} teams`} with ${practices === 1 ? '1 practice' : `${practices} practices`}.`;
		}
		if ('copied' in form) return 'Backed up.';
		if ('restored' in form) return 'Restored: everything is as it was in that backup.';
		return '';
	});
	/** The buttons rest while the server copies, imports or goes back. */
	const busy = () => {
		isBusy = true;
		notice.text = '';
		return async ({ result, update }: { result: ActionResult; update: () => Promise<void> }) => {
			if (result.type === 'error') notice.text = `Not done. ${refusalWords(result)}`;
			else await update();
			isBusy = false;
			asked = null;
		};
	};
</script>

<Page team={data.teams[0]} current="data" title="Data" heading="Export, import and backups" narrow>
	{#if misfit}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="error"
			role="alert"
			title="Nothing was changed."
			subtitle="{misfit.path} {misfit.message}"
		/>
	{:else if words}
		<InlineNotification lowContrast hideCloseButton kind="success" role="status" title={words} />
	{/if}
	<section>
		<h2>Export</h2>
		<p>
			One zip of plain JSON: teams, squads, grounds, kit, drills, practices, ledger and settings.
			The same data always gives the same file. It holds names of players: keep it where only you
			can read it.
		</p>
		<Button size="small" href="/data/export" download="fieldplan.zip">Download everything</Button>
	</section>
	<section>
		<h2>Import</h2>
		<p>
			A file that was exported here comes back whole. A team that is here already is never
			overwritten: the file is refused and says which.
		</p>
		<form method="POST" action="?/import" enctype="multipart/form-data" use:enhance={busy}>
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
			<Button type="submit" size="small" disabled={isBusy}>Import</Button>
		</form>
	</section>
	{#if backups}
		<section>
			<h2>Backups</h2>
			<p>
				Everything is backed up each day, and before an update or an import. The last ten backups
				are in the data folder. Keep one elsewhere too, in case the machine is lost.
			</p>
			<form method="POST" action="?/copy" use:enhance={busy}>
				<Button type="submit" size="small" kind="tertiary" disabled={isBusy}>Back up now</Button>
			</form>
			{#if backups.length > 0}
				<table>
					<thead>
						<tr
							><th scope="col">Made</th><th scope="col">Why</th><th scope="col">Size</th><th
								><span class="bx--visually-hidden">Restore</span></th
							></tr
						>
					</thead>
					<tbody>
						{#each backups as backup (backup.name)}
							<tr>
								<td>{when(backup.at)}</td>
								<td>{REASONS[backup.reason]}</td>
								<td>{(backup.bytes / 1e6).toFixed(1)} MB</td>
								<td>
									<button type="button" class="link" onclick={() => (asked = backup)}
										>Restore</button
									>
								</td>
							</tr>
						{/each}
					</tbody>
				</table>
			{:else}
				<p>There is no backup yet. The first is made a minute after the start.</p>
			{/if}
		</section>
	{:else}
		<section>
			<h2>Backups</h2>
			<p>The data is on a PostgreSQL server. Whoever runs it backs it up.</p>
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
		modalHeading="Restore the backup of {when(asked.at)}?"
		primaryButtonText={isBusy ? 'Restoring …' : 'Restore'}
		primaryButtonDisabled={isBusy}
		secondaryButtonText="Cancel"
		on:click:button--secondary={() => (asked = null)}
		on:close={() => (asked = null)}
		on:submit={() => restoring?.requestSubmit()}
	>
		<p>
			This undoes everything that was changed since, for all teams. It is backed up first, so that
			you can restore it here.
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
