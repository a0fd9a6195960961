<?php

declare(strict_types=1);

namespace App\Support;

use OpenSSLAsymmetricKey;
use OpenSSLCertificate;
use RuntimeException;

/**
 * An authority of this workshop alone, made once and trusted by its phones, and a certificate under it for this
 * machine's addresses, made anew when they change or it ends. Phones take none that lasts longer than 825 days.
 */
final class Certificate
{
    private const AUTHORITY_DAYS = 3650;

    private const HOST_DAYS = 820;

    private const SOON = 30 * 86_400;

    public static function make(string $folder, string $address, string $name): void
    {
        filter_var($address, FILTER_VALIDATE_IP) !== false
            || throw new RuntimeException(
                "“{$address}” is no address of a network: give one such as HEBRA_LAN=192.168.1.20",
            );
        is_dir($folder) || mkdir($folder, 0700, true);
        is_file("{$folder}/ca.crt") && is_file("{$folder}/ca.key") || self::write(
            $folder,
            'ca',
            self::signed(
                $folder,
                'Hebra of this workshop',
                null,
                self::AUTHORITY_DAYS,
                "basicConstraints=critical,CA:TRUE,pathlen:0\nkeyUsage=critical,keyCertSign,cRLSign\n",
            ),
        );
        $names = "IP:{$address},IP:127.0.0.1,DNS:localhost"
            .(preg_match('/^[a-z0-9-]{1,60}$/i', $name) === 1 ? ",DNS:{$name},DNS:{$name}.local" : '');
        if (self::isGood("{$folder}/host.crt", $address)) {
            return;
        }
        self::write(
            $folder,
            'host',
            self::signed(
                $folder,
                'Hebra',
                $folder,
                self::HOST_DAYS,
                "basicConstraints=CA:FALSE\nkeyUsage=critical,digitalSignature,keyEncipherment\n"
                    ."extendedKeyUsage=serverAuth\nsubjectAltName={$names}\n",
            ),
        );
    }

    private static function isGood(string $file, string $address): bool
    {
        $read = is_file($file) ? openssl_x509_parse((string) file_get_contents($file)) : false;

        return $read !== false && $read['validTo_time_t'] > time() + self::SOON
            && str_contains((string) ($read['extensions']['subjectAltName'] ?? ''), "IP Address:{$address},");
    }

    /** @return array{OpenSSLCertificate, OpenSSLAsymmetricKey} */
    private static function signed(string $folder, string $name, ?string $by, int $days, string $extensions): array
    {
        $config = "{$folder}/openssl.cnf";
        file_put_contents($config, "[req]\ndistinguished_name=dn\n[dn]\n[ext]\n{$extensions}");
        $options = [
            'config' => $config,
            'x509_extensions' => 'ext',
            'digest_alg' => 'sha256',
            'private_key_bits' => 2048,
            'private_key_type' => OPENSSL_KEYTYPE_EC,
            'curve_name' => 'prime256v1',
        ];
        try {
            $key = openssl_pkey_new($options);
            $key !== false || throw new RuntimeException('No key could be made.');
            $request = openssl_csr_new(['commonName' => $name, 'organizationName' => 'Hebra'], $key, $options);
            $request instanceof \OpenSSLCertificateSigningRequest
                || throw new RuntimeException('No certificate could be made.');
            $signer = $by === null ? null : 'file://'.$by.'/ca.crt';
            $with = $by === null ? $key : 'file://'.$by.'/ca.key';
            $certificate = openssl_csr_sign($request, $signer, $with, $days, $options, random_int(1, PHP_INT_MAX));

            return [
                $certificate === false ? throw new RuntimeException('No certificate could be signed.') : $certificate,
                $key,
            ];
        } finally {
            unlink($config);
        }
    }

    /** @param  array{OpenSSLCertificate, OpenSSLAsymmetricKey}  $made */
    private static function write(string $folder, string $name, array $made): void
    {
        openssl_x509_export($made[0], $certificate);
        openssl_pkey_export($made[1], $key);
        file_put_contents("{$folder}/{$name}.key", $key);
        chmod("{$folder}/{$name}.key", 0600);
        file_put_contents("{$folder}/{$name}.crt", $certificate);
    }
}
