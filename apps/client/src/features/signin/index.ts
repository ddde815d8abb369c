export { Leaving } from './Leaving';
export { People } from './People';
export { SignInAgain } from './SignInAgain';
export { SignInScreen } from './SignInScreen';
export { useSignOut } from './useSignOut';
