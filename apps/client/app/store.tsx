import { lazily } from '@/beyond/lazily';

export default lazily((all) => all.StoreScreen);
