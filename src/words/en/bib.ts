import { messages } from '../message';

export default messages({
	bib: 'bib {letter}',
	kelp: 'Kelp',
	lantern: 'Lantern',
	mussel: 'Mussel',
	nettle: 'Nettle',
	reed: 'Reed',
	sky: 'Sky',
	tern: 'Tern',
	wrack: 'Wrack'
});
