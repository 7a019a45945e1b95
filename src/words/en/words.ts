import { messages } from '../message';

export default messages({
	saveTheWords: 'Save the words',
	words: 'Words',
	yourOwnWordsStandInThe:
		'Your own words replace these on every screen and sheet. Leave a field empty to keep ours; for an irregular plural, write one / many.'
});
