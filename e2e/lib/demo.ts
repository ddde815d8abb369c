import './ahead';

void import('../../apps/demo/src/main');
