import { lazyComponent } from '@/shared/laterChunk/lazyComponent';

export default lazyComponent(() => import('@/screens').then((all) => all.PapersScreen));
