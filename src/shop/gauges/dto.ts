import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsIn, IsObject, registerDecorator, ValidateIf } from 'class-validator';
import { DeedDto } from '../deed/dto';
import { gauges } from '@/core/gauges/catalogue';
import type { AnyGauge } from '@/core/gauges/reckon';
import { isAsked, type Field, type RawValues } from '@/core/gauges/fields';
import { readField } from '@/core/gauges/readFields';

type GaugeDto = new () => object;

/** The class that validates the fields of a gauge, made from their specification, by which the form reads them too. */
function dtoOf(gauge: AnyGauge): GaugeDto {
  class Dto {}
  const name = `${gauge.id.replace(/(^|-)(.)/g, (_, __, c: string) => c.toUpperCase())}GaugeDto`;
  Object.defineProperty(Dto, 'name', { value: name });
  for (const [property, field] of Object.entries(gauge.fields)) {
    ValidateIf((raw: RawValues) => isAsked(field, raw))(Dto.prototype, property);
    registerDecorator({
      name: 'isReadable',
      target: Dto,
      propertyName: property,
      validator: {
        validate: (value: unknown) => problemOf(field, value) === null,
        defaultMessage: (args) => problemOf(field, args?.value) ?? '',
      },
    });
  }
  return Dto;
}

function problemOf(field: Field, value: unknown): string | null {
  const read = readField(field, value);
  return read && 'problem' in read ? read.problem : null;
}

export const GAUGE_DTOS: ReadonlyMap<string, GaugeDto> = new Map(gauges.map((g) => [g.id, dtoOf(g)]));

const IDS = gauges.map((g) => g.id);
export class KeepUsualDto extends DeedDto {
  @IsIn(IDS, { message: `One of ${IDS.join(', ')}.` })
  gauge!: string;

  /** Some of its fields, as the shop usually types them. */
  @IsObject({ message: 'The fields of the gauge.' })
  inputs!: RawValues;
}

export class MatchPartsDto {
  @IsIn(['belt', 'bearing'])
  group!: 'belt' | 'bearing';

  /** As a gauge gives them: name, mm and standard uncertainty of each size. */
  @IsArray()
  @ArrayMaxSize(4)
  @IsObject({ each: true })
  sizes!: { name: string; mm: number; sigmaMm: number }[];
}

/** A result kept with a job. */
export interface KeptGauge {
  id: number;
  gauge: string;
  version: number;
  says: string;
  at: string;
  by: string | null;
}

export interface MatchedPart {
  code: string;
  label: string;
  stock: number;
  priceMinor: number;
  probability: number;
}
