package elvaro.server.chain;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * For the launcher: signs a file with the house's key, or checks the signature of one.
 *
 * <pre>
 * sign KEY-FILE FILE                  prints the public part of the key, a space, and the signature
 * check PUBLIC-PART SIGNATURE FILE    prints the key's first digits; ends with 1 where it is not signed with it
 * </pre>
 */
final class SignFile {
    private static final int CHECK_WORDS = 4;

    private SignFile() {}

    public static void main(String[] words) throws IOException {
        if (words.length == CHECK_WORDS && words[0].equals("check")) {
            boolean signed = HouseKey.signed(words[1], Files.readAllBytes(Path.of(words[3])), words[2]);
            System.out.println(HouseKey.print(words[1]));
            System.exit(signed ? 0 : 1);
        }
        HouseKey key = new HouseKey(words[1]);
        System.out.println(key.open() + " " + key.sign(Files.readAllBytes(Path.of(words[2]))));
    }
}
