import { lazily } from '@/shared/beyond/lazily';

export default lazily(() => import('@/screens').then((all) => all.RepairScreen));
