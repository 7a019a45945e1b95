<script lang="ts">
	import { Checkbox, TextInput } from 'carbon-components-svelte';
	import type { Ground } from '$core/model/team';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/ground';
	import Metres from './Metres.svelte';

	/** The whole ground in numbers, and where it lies in the world. */
	let { ground, onset }: { ground: Ground; onset: (ground: Ground) => void } = $props();

	const say = useWords();
	const { latitude, longitude } = $derived(
		ground.place ?? { latitude: undefined, longitude: undefined }
	);

	/** A place needs both numbers: until then the other is taken as 0. */
	function setPlace(set: { latitude?: number; longitude?: number }) {
		const next = { latitude, longitude, ...set };
		const { place: _before, ...rest } = ground;
		if (next.latitude === undefined && next.longitude === undefined) onset(rest);
		else
			onset({ ...rest, place: { latitude: next.latitude ?? 0, longitude: next.longitude ?? 0 } });
	}
	function setBearing(bearing: number | undefined) {
		const { bearing: _before, ...rest } = ground;
		onset(bearing === undefined ? rest : { ...rest, bearing: bearing % 360 });
	}
	function setIndoors(indoors: boolean) {
		const { indoors: _before, ...rest } = ground;
		onset(indoors ? { ...rest, indoors } : rest);
	}
</script>

<section aria-label={say(texts.ground)}>
	<div class="name">
		<TextInput
			id="ground-name"
			size="sm"
			labelText={say(texts.ground)}
			maxlength={200}
			value={ground.name}
			on:change={(event) => onset({ ...ground, name: String(event.detail ?? '') })}
		/>
	</div>
	<Metres
		id="ground-length"
		label={say(texts.long)}
		least={1}
		most={1000}
		value={ground.length}
		onset={(length) => onset({ ...ground, length: length ?? ground.length })}
	/>
	<Metres
		id="ground-width"
		label={say(texts.wide)}
		least={1}
		most={1000}
		value={ground.width}
		onset={(width) => onset({ ...ground, width: width ?? ground.width })}
	/>
	<Metres
		id="ground-bearing"
		label={say(texts.directionOfItsLength)}
		unit={say(texts.fromNorth)}
		least={0}
		most={360}
		value={ground.bearing}
		onset={setBearing}
	/>
	<Metres
		id="ground-latitude"
		label={say(texts.latitude)}
		unit="° N"
		least={-90}
		most={90}
		value={latitude}
		onset={(value) => setPlace({ latitude: value })}
	/>
	<Metres
		id="ground-longitude"
		label={say(texts.longitude)}
		unit="° E"
		least={-180}
		most={180}
		value={longitude}
		onset={(value) => setPlace({ longitude: value })}
	/>
	<Checkbox
		labelText={say(texts.underARoof)}
		checked={ground.indoors ?? false}
		on:check={(event) => setIndoors(event.detail)}
	/>
</section>

<style>
	section {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 8px 14px;
		align-items: end;
	}
	.name {
		grid-column: 1 / -1;
	}
</style>
