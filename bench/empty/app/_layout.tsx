import { configureStore, createSlice } from '@reduxjs/toolkit';
import { Slot } from 'expo-router';
import { Provider } from 'react-redux';
import '../global.css';

const seen = createSlice({ name: 'seen', initialState: { times: 0 }, reducers: {} });
const store = configureStore({ reducer: { seen: seen.reducer } });

export default function Root() {
  return (
    <Provider store={store}>
      <Slot />
    </Provider>
  );
}
