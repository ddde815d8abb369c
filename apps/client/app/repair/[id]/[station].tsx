import { lazyComponent } from '@/shared/beyond/lazyComponent';

export default lazyComponent(() => import('@/screens').then((all) => all.RepairScreen));
