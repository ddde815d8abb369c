import Barlow_400Regular from '../../assets/fonts/Barlow_400Regular.woff2';
import Barlow_600SemiBold from '../../assets/fonts/Barlow_600SemiBold.woff2';
import BarlowSemiCondensed_500Medium from '../../assets/fonts/BarlowSemiCondensed_500Medium.woff2';
import BarlowSemiCondensed_600SemiBold from '../../assets/fonts/BarlowSemiCondensed_600SemiBold.woff2';
import BarlowSemiCondensed_700Bold from '../../assets/fonts/BarlowSemiCondensed_700Bold.woff2';
import MartianMono_500Medium from '../../assets/fonts/MartianMono_500Medium.woff2';
import MartianMono_600SemiBold from '../../assets/fonts/MartianMono_600SemiBold.woff2';

/** The faces of the house, as `scripts/fonts.mjs` writes them. */
export const FACES = {
  Barlow_400Regular,
  Barlow_600SemiBold,
  BarlowSemiCondensed_500Medium,
  BarlowSemiCondensed_600SemiBold,
  BarlowSemiCondensed_700Bold,
  MartianMono_500Medium,
  MartianMono_600SemiBold,
};
