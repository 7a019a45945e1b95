<script lang="ts">
	import { path } from 'd3-path';
	import type { Marking } from '$core/model/team';

	/** A line painted on the ground. */
	let { marking }: { marking: Marking } = $props();

	const radians = (degrees: number) => (degrees * Math.PI) / 180;
	const outline = $derived.by(() => {
		const drawn = path();
		if ('line' in marking)
			marking.line.forEach(([x, y], index) =>
				index === 0 ? drawn.moveTo(x, y) : drawn.lineTo(x, y)
			);
		else {
			const [x, y] = marking.centre;
			drawn.arc(x, y, marking.radius, radians(marking.from), radians(marking.to));
		}
		return drawn.toString();
	});
</script>

<path d={outline} fill="none" stroke="var(--turf-line)" stroke-width="0.5" />
