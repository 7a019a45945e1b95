import { messages } from '../message';

export default messages({
	saveTheWords: 'Save the words',
	words: 'Words',
	yourOwnWordsStandInThe:
		'Your own words stand in the place of these on every screen and sheet. Leave a field empty to keep ours; write one / many where many is not made with an s.'
});
