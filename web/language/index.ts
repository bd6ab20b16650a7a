export { LANGUAGES, language, loadLanguage, onLanguage, setLanguage, type Language } from './language';
export { roomMessages, type Texts } from './room-messages';
