package elvaro.core.label;

/** The last digit of GS1 numbers: from the right, threes and ones by turns; with it the sum is a multiple of ten (section 7.9). */
public final class CheckDigit {
    private static final int TEN = 10;

    private CheckDigit() {}

    /** @param number digits, the last of them the check digit */
    public static boolean fits(String number) {
        int last = number.length() - 1;
        return last > 0 && of(number.substring(0, last)) == number.charAt(last) - '0';
    }

    /** @param number digits without it */
    public static int of(String number) {
        int sum = 0;
        for (int index = 0; index < number.length(); index++) {
            boolean three = (number.length() - index) % 2 == 1;
            sum += (number.charAt(index) - '0') * (three ? 3 : 1);
        }
        return (TEN - sum % TEN) % TEN;
    }
}
