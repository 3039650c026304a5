import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '**/generated/**', '**/*.d.ts', 'docs/**', '**/test-results/**', '.cache/**'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      // a field that is left out of a copy is named, and not used
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_$', ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[property.name='only'][object.name=/^(it|test|describe)$/]",
          message: 'A focused test hides the others.',
        },
        {
          selector: "MemberExpression[property.name='skip'][object.name=/^(it|test|describe)$/]",
          message: 'A skipped test is a defect.',
        },
        {
          selector:
            "BinaryExpression[operator=/^[!=]==$/]:matches([left.property.name='technique'], [left.name='technique'], [right.property.name='technique'], [right.name='technique'])",
          message: 'Nobody asks which technique it is: what is needed of it is read in its row of TECHNIQUES, or done in its file.',
        },
        {
          selector: "CallExpression[callee.property.name='stage'][arguments.2.type!='Identifier']",
          message: 'A stage sees nothing but its input: its function is declared by itself, and handed in by name.',
        },
      ],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness is passed in to core.' },
        { object: 'Date', property: 'now', message: 'The clock is passed in to core.' },
      ],
      'no-restricted-globals': ['error', 'document', 'window', 'fetch', 'console', 'setTimeout'],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
);
