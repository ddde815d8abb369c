import './requestClock';

void import('../../apps/demo/src/main');
