export { SignOutPending } from './SignOutPending';
export { People } from './People';
export { SignInAgain } from './SignInAgain';
export { SignInScreen } from './SignInScreen';
export { useSignOut } from './useSignOut';
